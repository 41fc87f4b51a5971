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
import { brace as judgeBrace, safetyWith } from "../join/brace";
import type { BraceInput, BraceKind } from "../join/brace.schema";
import { BRACE_KIND_ROWS, braceKindOf } from "../join/kinds.data";
import { asSold } from "../join/rods";
import { type SizedBrace, sizeOf } from "../join/sizing";
import { STRENGTHS } from "../join/strengths.data";
import type { Shelf } from "../match/case";
import type { MatchInput } from "../match/match.schema";
import type { Tools } from "../operation/subject";
import { flagsOf } from "../survey/consequences";
import type { Damage } from "../survey/measures.data";
import { volumeOf } from "../survey/place";
import type { Survey } from "../survey/survey.schema";
import type { WayFacts, WayRow } from "../survey/wayRow";
import { placesOf, preselectedWay, wayRow, waysFor } from "../survey/ways";
import { plain, present } from "../units";
import { braceQuestion } from "./braceQuestion";
import type { Context, FillPlan } from "./context";
import { type Choice, type ChosenLinks, linksFor, type WorkPlace } from "./links";
import { matchInputOf } from "./matchInput";

/** A damage that is taken into a treatment, as far as it was decided. */
export interface DamageInput {
  readonly id: string;
  readonly piece: PieceKind;
  readonly part: string;
  readonly substrate: Substrate;
  readonly finish: Finish;
  readonly survey: Survey;
  readonly way?: string;
  readonly choose?: readonly Choice[];
  readonly brace?: { readonly kind: BraceKind; readonly size?: Readonly<Record<string, number>> };
  readonly form?: string;
  readonly fill?: FillPlan;
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
  readonly places: readonly WorkPlace[];
  readonly context: Context;
  /** What Match is asked of it. */
  readonly asked: MatchInput;
  readonly survey: Survey;
  readonly brace_warnings: ReadonlyArray<{ readonly code: string; readonly message: string }>;
}

/** Joints that are reckoned as a beam. */
const BEAMS: readonly string[] = ["break-along", "break-across"];

/** Old paint, gesso and bole under gilding, glazes of porous ware, and soft metal itself: all are asked for lead before anything abrades. */
function mayHoldLead(finish: Finish, on: { readonly family: string; readonly porous: boolean; readonly substrate: string }): boolean {
  if (on.substrate === "soft-metal") return true;
  if (finish === "paint") return on.family !== "polymer" && on.family !== "skin";
  if (finish === "gilding") return on.family === "wood" || on.family === "mineral" || on.family === "paper";
  return finish === "glaze" && on.porous;
}

/** What decides the ways of a damage. */
export function wayFactsOf({ piece, substrate, finish, survey }: DamageInput, stance: Stance): WayFacts {
  const found = flagsOf(survey.inspected);
  const asked = braceQuestion(survey.damage, substrate, survey.service);
  return {
    piece,
    on: substrateRow(substrate),
    finish: finishRow(finish),
    service: survey.service,
    stance,
    hollow: found.hollow === true,
    powders: found.powders === true,
    ...(asked && BEAMS.includes(asked.joint) ? { brace: judgeBrace(asked).needed } : {}),
  };
}

/** A way with its places and links. */
interface Made extends ChosenLinks {
  readonly way: WayRow;
  readonly places: readonly WorkPlace[];
}

type Question = ReturnType<typeof braceQuestion>;
const isBeam = (question: Question): question is BraceInput => question !== undefined && BEAMS.includes(question.joint);

/** Work a damage out. @throws {RangeError} on a way that its kind does not have */
export function workOut(input: DamageInput, stance: Stance, air: Air, tools: Tools, shelf?: Shelf): WorkedDamage {
  const { survey, substrate } = input;
  // foil is the finish of a wrapped board, whether it was named or not
  const finish = substrate === "mdf-vinyl" && input.finish === "none" ? "foil" : input.finish;
  const facts = wayFactsOf({ ...input, finish }, stance);
  const question = braceQuestion(survey.damage, substrate, survey.service);
  const asked = { ...matchInputOf({ substrate, finish }, survey, survey.damage, air.temp_C), stance };
  const made = (way: WayRow) =>
    makeWay(
      way,
      placesOf(way, survey.damage, input.id, facts).map((place) => measured(place, input.fill)),
      asked,
      question,
      input,
      shelf,
    );
  const taken = input.way === undefined ? unasked(survey.damage, facts, made) : made(rowOf(survey.damage, input.way));
  // of several links of a role the first is the body of it
  const chain = Object.fromEntries([...taken.links].reverse().map(({ role, material }) => [role, material])) as Partial<
    Record<Role, MaterialClass>
  >;
  const f = opFacts({ ...input, finish }, stance, air, taken.way, taken.places, chain);
  const sized = question && sizedBrace(taken.places, taken.links, question, survey.damage, input.brace);
  const { judged, reached } = safetyOf(question, sized || undefined, taken.way.way);
  const context: Context = {
    f,
    part: input.part,
    damage: survey.damage,
    places: taken.places,
    links: taken.links,
    air,
    tools,
    ...(sized ? { brace: sized } : {}),
    ...present({ fill: input.fill, school: input.fill?.school, texture: input.fill?.texture }),
    ...(input.back ? { back: input.back } : {}),
    ...(reached !== undefined ? { safety: { reached, asked: STRENGTHS[substrate].asks } } : {}),
  };
  const because = input.way === undefined ? whyNotOthers(survey.damage, facts, taken.way) : undefined;
  return {
    id: input.id,
    part: input.part,
    survey,
    asked,
    ...taken,
    context,
    brace_warnings: weakness(judged?.warnings ?? [], reached, STRENGTHS[substrate].asks),
    ...(because ? { because } : {}),
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
  question: Question,
  input: DamageInput,
  shelf?: Shelf,
): Made {
  const choose = input.brace ? withBrace(input.brace.kind, input.choose ?? []) : (input.choose ?? []);
  const preferred = isBeam(question) && places.some(({ name }) => name === "core") ? preferredBrace(question) : undefined;
  const found = preferred === undefined ? undefined : linksFor(asked, places, withBrace(preferred, choose), shelf);
  const holds = found?.links.every(({ role, verdict, overridden }) => role !== "brace" || verdict !== "refused" || overridden);
  return { way, places, ...(found && holds ? cleared(found) : linksFor(asked, places, choose, shelf)) };
}

/** Ways that leave a joint to its glue, or brace it. */
const JOINED: readonly string[] = ["bond", "bridge", "brace"];

/** What the joint reaches, and what is said of it. */
function safetyOf(
  question: Question,
  sized: SizedBrace | undefined,
  way: string,
): { readonly judged?: ReturnType<typeof judgeBrace>; readonly reached?: number } {
  const braced = way === "brace" && sized !== undefined;
  const judged =
    isBeam(question) && JOINED.includes(way) ? judgeBrace({ ...question, ...(braced ? { brace: sized.kind } : {}) }) : undefined;
  return present({ judged, reached: question && braced ? safetyWith(sized, question) : judged?.safety_without });
}

function weakness(warnings: ReadonlyArray<{ code: string; message: string }>, reached: number | undefined, asked: number) {
  const weak =
    reached !== undefined && reached < asked
      ? [{ code: "no-load", message: `The safety reached is ${plain(reached, 1)} of ${asked}: let it carry nothing and nobody.` }]
      : [];
  return [...warnings.filter(({ code }) => code === "refer"), ...weak];
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

/** Of the braces that a joint may have, the one that serves it best. */
function preferredBrace(question: BraceInput): BraceKind | undefined {
  return judgeBrace(question).options.find(({ kind }) => kind !== "none")?.kind;
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

function sizedBrace(
  places: readonly WorkPlace[],
  links: ChosenLinks["links"],
  question: BraceInput,
  damage: Damage,
  chosen: DamageInput["brace"],
): SizedBrace | undefined {
  const core = places.find(({ kind }) => kind === "core");
  if (!core) return undefined;
  if (core.name === "anchors") return anchors(damage);
  const link = links.find(({ place, role }) => place === core.id && role === "brace");
  const kind = chosen?.kind ?? (link && braceKindOf(link.class));
  if (kind === undefined || kind === "none") return undefined;
  if (!chosen?.size) return asSold(sizeOf(kind, question), question, "metric");
  // hole, depth and walls follow from the rod that is taken, not from the one that was worked out
  const sized = sizeOf(kind, question, chosen.size.diameter_mm);
  return { ...sized, size: { ...sized.size, ...chosen.size } };
}

/** One anchor for so much of a broken plaster face, mm²; its depth in diameters; the plaster over it, mm. Trade practice; EN 1992-4 for the cover's order of size. */
const ANCHOR_FACE_MM2 = 1500;
const ANCHOR_MM = 4;
const ANCHOR_DEPTHS = 6;
const ANCHOR_COVER_MM = 12;

/** Screws in a broken plaster face: how many, how deep, how far out, and what covers them. */
function anchors(damage: Damage): SizedBrace | undefined {
  if (damage.kind !== "corner") return undefined;
  const { a_mm: a, b_mm: b, c_mm: c } = damage;
  const face = Math.hypot(a * b, b * c, a * c) / 2;
  const depth = (a * b * c) / 2 / face;
  const count = Math.max(2, Math.ceil(face / ANCHOR_FACE_MM2));
  const out_mm = Math.max(5, Math.min(depth - ANCHOR_COVER_MM, depth * 0.6));
  return {
    kind: "screw",
    size: {
      count,
      diameter_mm: ANCHOR_MM,
      hole_mm: ANCHOR_MM + 1,
      embed_mm: ANCHOR_DEPTHS * ANCHOR_MM,
      out_mm,
      cover_mm: depth - out_mm,
      length_mm: ANCHOR_DEPTHS * ANCHOR_MM + out_mm,
    },
    reasons: [`${count} for ${plain(face / 100)} cm² of broken face.`, `${plain(depth - out_mm)} mm of plaster cover each.`],
  };
}

function opFacts(
  { id, piece, substrate, finish, survey, form, brace }: DamageInput,
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
    damage: damage.kind,
    way: way.way,
    kinds: new Set(places.map((place) => place.kind)),
    measures,
    survives: finish_survives === true,
    through: damage.kind === "hole" && damage.through,
    stance,
    found: flagsOf(inspected),
    sprung: service.sprung === true || (damage.kind === "tear" && damage.tension),
    outdoor: service.outdoor === true,
    acoustic: service.acoustic === true,
    flex: service.flex === true,
    food: service.food === true,
    lead: mayHoldLead(finish, on) || limits?.lead === true,
    temp_C,
    open_behind: places.some(({ open_behind }) => open_behind === true),
    fills: places.filter((place) => place.kind === "void" || place.kind === "film").map(({ name }) => name),
    chain,
    ...(earlier_glue === undefined || earlier_glue === "none" ? {} : { earlier: earlierGlueRow(earlier_glue) }),
    ...(brace ? { brace: brace.kind } : {}),
    ...(form ? { form } : {}),
  };
}
