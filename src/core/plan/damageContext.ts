import {
  earlierGlueRow,
  type Finish,
  finishRow,
  type Grade,
  type MaterialClass,
  type OpFacts,
  type PieceKind,
  type Role,
  type Stance,
  type Substrate,
  substrateRow,
} from "../catalogue";
import type { Air } from "../cure/lag";
import type { BraceKind } from "../join/brace.schema";
import { BRACE_KIND_ROWS } from "../join/kinds.data";
import type { SizedBrace } from "../join/sizing";
import type { Shelf } from "../match/case";
import type { MatchInput } from "../match/match.schema";
import type { Tools } from "../operation/subject";
import { flagsOf } from "../survey/consequences";
import type { Damage } from "../survey/measures.data";
import { volumeOf } from "../survey/place";
import type { Survey } from "../survey/survey.schema";
import type { WayFacts, WayRow } from "../survey/wayRow";
import { placesOf, preselectedWay, wayRow, waysFor } from "../survey/ways";
import { present } from "../units";
import type { Context, FillPlan } from "./context";
import { type BraceChoice, type Joint, reachedBy, type Strength, sizedBrace, strengthOf, unbraced } from "./joint";
import { type Choice, type ChosenLinks, linksFor, type WorkPlace } from "./links";
import { matchInputOf } from "./matchInput";

/** A damage that is taken into a treatment, as far as it was decided. */
export interface DamageInput {
  readonly id: string;
  readonly piece: PieceKind;
  readonly part: string;
  readonly substrate: Substrate;
  readonly finish: Finish;
  /** The finish that it is to have, where that is another. */
  readonly finish_to_be?: Finish;
  readonly survey: Survey;
  readonly way?: string;
  readonly choose?: readonly Choice[];
  readonly brace?: BraceChoice;
  readonly form?: string;
  readonly fill?: FillPlan;
  /** Why it is worked on although it should be referred. */
  readonly override?: string;
  /** Grades that were gone back to at Level, in their order. */
  readonly back?: readonly Grade[];
}

/** A damage worked out: its way, places, links and what its operations follow from. */
export interface WorkedDamage extends ChosenLinks {
  readonly id: string;
  readonly part: string;
  readonly way: WayRow;
  /** Why no other way was taken unasked. */
  readonly because?: string;
  /** The other ways that it could be met in, in words. */
  readonly others: readonly string[];
  readonly places: readonly WorkPlace[];
  readonly context: Context;
  /** What Match is asked of it. */
  readonly asked: MatchInput;
  readonly survey: Survey;
  /** Whether the glue line carries what is asked, and what it reaches as it is planned: asked once, said everywhere. */
  readonly joint?: Joint;
}

/**
 * Old paint, gesso and bole under gilding, glazes of porous ware, and soft metal itself: all are asked for lead before anything abrades.
 * `old_paint`: whether there is paint from before 1980, as it was answered; it tells of the paint, not of metal, gilding or glaze.
 */
function mayHoldLead(
  finish: Finish,
  on: { readonly family: string; readonly porous: boolean; readonly substrate: string },
  old_paint: boolean | undefined,
): boolean {
  if (old_paint === true || on.substrate === "soft-metal") return true;
  if (finish === "paint") return old_paint === undefined && on.family !== "polymer" && on.family !== "skin";
  if (finish === "gilding") return on.family === "wood" || on.family === "mineral" || on.family === "paper";
  return finish === "glaze" && on.porous;
}

/** What decides the ways of a damage. */
export function wayFactsOf({ piece, substrate, finish, finish_to_be, survey, brace }: DamageInput, stance: Stance): WayFacts {
  const found = flagsOf(survey.inspected);
  const strength = strengthOf({ survey, substrate, ...present({ brace }) });
  return {
    piece,
    on: substrateRow(substrate),
    finish: finishRow(finish),
    ...present({ to_be: finish_to_be && finishRow(finish_to_be) }),
    service: survey.service,
    stance,
    hollow: found.hollow === true,
    powders: found.powders === true,
    ...present({ brace: strength?.judged?.needed }),
  };
}

/** A way with its places and links. */
interface Made extends ChosenLinks {
  readonly way: WayRow;
  readonly places: readonly WorkPlace[];
  readonly asked: MatchInput;
  readonly sized?: SizedBrace;
}

/** Work a damage out. @throws {RangeError} on a way that its kind does not have */
export function workOut(given: DamageInput, stance: Stance, air: Air, tools: Tools, shelf?: Shelf): WorkedDamage {
  // foil is the finish of a wrapped board, whether it was named or not
  const finish = given.substrate === "mdf-vinyl" && given.finish === "none" ? "foil" : given.finish;
  const input = { ...given, finish };
  const { survey } = input;
  const facts = wayFactsOf(input, stance);
  const strength = strengthOf(input);
  const made = makerOf(input, { stance, air, facts, ...present({ strength, shelf }) });
  const taken = input.way === undefined ? unasked(survey.damage, facts, made) : made(rowOf(survey.damage, input.way));
  const joint = strength && reachedBy(strength, taken.sized, taken.way.way);
  const because = input.way === undefined ? whyNotOthers(survey.damage, facts, taken.way) : undefined;
  return {
    id: input.id,
    part: input.part,
    survey,
    ...taken,
    others: waysFor(survey.damage, facts).flatMap(({ way, label }) => (way === taken.way.way ? [] : [label])),
    context: contextOf(input, taken, { stance, air, tools, ...present({ joint }) }),
    ...(joint ? { joint } : {}),
    ...(because ? { because } : {}),
  };
}

interface Making {
  readonly stance: Stance;
  readonly air: Air;
  readonly facts: WayFacts;
  readonly strength?: Strength;
  readonly shelf?: Shelf;
}

/** Makes a way of a damage with its places, its links, and what is let in. */
function makerOf(input: DamageInput, { stance, air, facts, strength, shelf }: Making): (way: WayRow) => Made {
  const { survey, substrate, finish } = input;
  const madeOf = (way: WayRow, places: readonly WorkPlace[]): Made => {
    const asked = {
      ...matchInputOf({ substrate, finish, ...present({ finish_to_be: input.finish_to_be }) }, survey, places, air.temp_C),
      stance,
    };
    const found = { ...makeWay(way, places, asked, strength, input, shelf), asked };
    const sized = strength && sizedBrace(places, found.links, strength.question, input.brace);
    return { ...found, ...(sized ? { sized } : {}) };
  };
  return (way) => {
    const places = placesOf(way, survey.damage, input.id, facts).map((place) => measured(place, input.fill));
    if (input.brace?.kind === "none") return madeOf(way, unbraced(places));
    const found = madeOf(way, places);
    // what does not fit is not let in, and nothing is drilled for it
    const idle = places.some(({ kind }) => kind === "core") && (found.sized === undefined || found.sized.refused === true);
    return idle ? madeOf(way, unbraced(places)) : found;
  };
}

interface Here {
  readonly stance: Stance;
  readonly air: Air;
  readonly tools: Tools;
  readonly joint?: Joint;
}

/** Everything that the rows of operations are asked about. */
function contextOf(input: DamageInput, { way, places, links, sized }: Made, { stance, air, tools, joint }: Here): Context {
  // of several links of a role the first is the body of it
  const chain = Object.fromEntries([...links].reverse().map(({ role, material }) => [role, material])) as Partial<
    Record<Role, MaterialClass>
  >;
  return {
    f: opFacts(input, stance, air, way, places, chain),
    part: input.part,
    damage: input.survey.damage,
    places,
    links,
    air,
    tools: { ...tools, ...input.brace?.router },
    ...(sized ? { brace: sized } : {}),
    ...present({ fill: input.fill, shaping: input.fill?.shaping, texture: input.fill?.texture }),
    ...(input.back ? { back: input.back } : {}),
    ...(joint?.reached === undefined ? {} : { safety: { reached: joint.reached, asked: joint.asks } }),
  };
}

/** A place whose volume is known better than by its solids. */
function measured(place: WorkPlace, fill: FillPlan | undefined): WorkPlace {
  const known = fill?.volumes?.find((volume) => volume.place === place.id);
  return known && volumeOf(place) > 0 ? { ...place, known_cm3: known.cm3 } : place;
}

/** The links of a way; the brace that the figures speak for is held fast where Match does not refuse it. */
function makeWay(
  way: WayRow,
  places: readonly WorkPlace[],
  asked: Parameters<typeof linksFor>[0],
  strength: Strength | undefined,
  input: DamageInput,
  shelf?: Shelf,
): Omit<Made, "asked" | "sized"> {
  const choose = input.brace ? withBrace(input.brace.kind, input.choose ?? []) : (input.choose ?? []);
  const preferred = places.some(({ name }) => name === "core") ? strength?.preferred : undefined;
  const found = preferred === undefined ? undefined : linksFor(asked, places, withBrace(preferred, choose), shelf);
  const holds = found?.links.every(({ role, verdict, overridden }) => role !== "brace" || verdict !== "refused" || overridden);
  return { way, places, ...(found && holds ? cleared(found) : linksFor(asked, places, choose, shelf)) };
}

function rowOf(damage: Damage, way: string): WayRow {
  const row = wayRow(damage.kind, way);
  if (!row) throw new RangeError(`“${way}” is no way to meet a ${damage.kind}`);
  return row;
}

/** The least that holds: the first way that can't harm and that the catalogue has every material for; else the first that can't harm. */
function unasked(damage: Damage, facts: WayFacts, made: (way: WayRow) => Made): Made {
  const able = waysFor(damage, facts).filter(({ not_first }) => not_first?.(damage, facts) === undefined);
  const tried = able.length > 0 ? able : [preselectedWay(damage, facts)];
  let first: Made | undefined;
  for (const way of tried) {
    const found = made(way);
    if (found.missing.length === 0) return found;
    first ??= found;
  }
  return first ?? made(preselectedWay(damage, facts));
}

/** Why the ways before the one taken were not: said where it is a reason to know. */
function whyNotOthers(damage: Damage, facts: WayFacts, taken: WayRow): string | undefined {
  const ways = waysFor(damage, facts);
  const before = ways.slice(
    0,
    ways.findIndex(({ way }) => way === taken.way),
  );
  const said = before.flatMap(({ label, not_first }) => {
    const why = not_first?.(damage, facts);
    return why ? [`${label} is not taken: ${why}.`] : [];
  });
  return said.length > 0 ? said.join(" ") : undefined;
}

/** What was preferred was not chosen against the rules. */
const cleared = ({ links, missing }: ChosenLinks): ChosenLinks => ({
  missing,
  links: links.map((link) =>
    link.role === "brace" && link.overridden === "" ? { ...link, overridden: undefined } : link,
  ) as ChosenLinks["links"],
});

function withBrace(kind: BraceKind, choose: readonly Choice[]): readonly Choice[] {
  const name = BRACE_KIND_ROWS.find((row) => row.kind === kind)?.classes[0];
  return name === undefined || choose.some(({ role }) => role === "brace") ? choose : [...choose, { role: "brace", class: name }];
}

function opFacts(
  { id, piece, substrate, finish, finish_to_be, survey, form, brace }: DamageInput,
  stance: Stance,
  { temp_C }: Air,
  way: WayRow,
  places: readonly WorkPlace[],
  chain: Partial<Record<Role, MaterialClass>>,
): OpFacts {
  const { damage, service, earlier_glue, inspected, finish_survives, limits } = survey;
  const { kind: _kind, ...measures } = damage;
  const on = substrateRow(substrate);
  return {
    id,
    piece,
    on,
    finish: finishRow(finish),
    was: finishRow(finish),
    to_be: finishRow(finish_to_be ?? finish),
    damage: damage.kind,
    way: way.way,
    kinds: new Set(places.map((place) => place.kind)),
    measures,
    survives: finish_survives === true,
    yields: finish_survives === false || finish_to_be !== undefined,
    through: damage.kind === "hole" && damage.through,
    stance,
    found: flagsOf(inspected),
    sprung: service.sprung === true || (damage.kind === "tear" && damage.tension),
    outdoor: service.outdoor === true,
    acoustic: service.acoustic === true,
    loaded: service.load === true,
    flex: service.flex === true,
    food: service.food === true,
    lead: mayHoldLead(finish, on, limits?.lead),
    temp_C,
    open_behind: places.some(({ open_behind }) => open_behind === true),
    fills: places.filter((place) => place.kind === "void" || place.kind === "film").map(({ name }) => name),
    chain,
    ...(earlier_glue === undefined || earlier_glue === "none" ? {} : { earlier: earlierGlueRow(earlier_glue) }),
    ...(brace ? { brace: brace.kind } : {}),
    ...(form ? { form } : {}),
  };
}
