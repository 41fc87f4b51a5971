import { dryFilmUm } from "../catalogue";
import { lossScene } from "../fill/section";
import { jointScene } from "../join/jointSection";
import type { SizedBrace } from "../join/sizing";
import { takenInAll } from "../mix/batches";
import type { WorkedDamage } from "../plan/damageContext";
import type { PlaceLayers } from "../plan/layers";
import type { WorkPlace } from "../plan/links";
import { materialOf } from "../plan/materialOf";
import type { Operation } from "../plan/plan.schema";
import { profileOf } from "../plan/profile";
import { filledPlaces } from "../plan/subjects/fill";
import type { Mark } from "../record/treatment";
import { buildOf, sectionHeight } from "../survey/place";
import { counted, doseGrams, inSentence, plain, present, type Scene } from "../units";
import type { Act } from "./acts";
import { coatsLeft } from "./coatsLeft";
import type { Worked } from "./worked";

/** One layer of a cut, and its row in the list beside it. */
export interface CutLayer {
  /** The operation that lays it. */
  readonly op?: string;
  readonly name: string;
  readonly material: string;
  readonly hatch: string;
  readonly plan_mm: number;
  readonly done_mm?: number;
  readonly plan_g?: number;
  readonly done_g?: number;
  readonly shrinks_mm: number;
  readonly state: "done" | "now" | "planned";
  /** When it was laid; when it may be. */
  readonly at?: string;
  readonly from?: number;
}

/** A coat in the lens: dry, µm. */
export interface Film {
  readonly name: string;
  readonly um: number;
  readonly hatch: string;
  readonly done: boolean;
}

/** A place cut through: the drawing in mm, its layers, the coats over it, and the same in words. */
export interface Cut {
  readonly id: string;
  readonly title: string;
  readonly substrate: string;
  readonly hatch: string;
  readonly note: string;
  readonly scene: Scene;
  readonly layers: readonly CutLayer[];
  readonly films: readonly Film[];
  readonly words: string;
}

/** The cut through every place that is filled or joined, as it is planned and as far as it is done. */
export function cutsOf({ repair, marks }: Worked, acts: readonly Act[]): Cut[] {
  const log: Log = { operations: repair.operations, marks, acts: new Map(acts.map((act) => [act.op.id, act])) };
  return repair.damages.flatMap((damage) => {
    const filled = new Map(filledPlaces({ ...damage.context, ...present({ found: repair.found }) }).map((each) => [each.place.id, each]));
    return damage.places.flatMap((place) => {
      const fill = filled.get(place.id);
      return (fill ? lossCut(damage, fill, log) : jointCut(damage, place)) ?? [];
    });
  });
}

interface Log {
  readonly operations: readonly Operation[];
  readonly marks: Worked["marks"];
  readonly acts: ReadonlyMap<string, Act>;
}

/** Operations at a place in the first round: later rounds fill what was found low. */
const opsAt = ({ operations }: Log, { id }: WorkPlace, of: (operation: Operation) => boolean) =>
  operations.filter((operation) => operation.round === 1 && operation.places.includes(id) && of(operation));

function lossCut(damage: WorkedDamage, { place, layers, proud_mm }: PlaceLayers, log: Log): Cut | undefined {
  const profile = profileOf(place);
  const [lowest] = layers;
  if (!lowest || !profile) return undefined;
  const { on } = damage.context.f;
  const rows = layers.map((_, i) => layerRow(layers, i, place, log, on.hatch));
  const scene = lossScene({
    profile,
    hatch: on.hatch,
    // what hardens from its sides is drawn as high as it is
    layers: layers.map(({ surface_mm }, i) => ({
      name: rows[i]?.name ?? "",
      words: rows[i]?.state ?? "",
      hatch: rows[i]?.hatch ?? "putty",
      surface_mm: surface_mm < 0 ? (surface_mm * profile.depth) / buildOf(place) : surface_mm,
      shrinks_mm: rows[i]?.shrinks_mm ?? 0,
    })),
    proud_mm,
    trough: lowest.link.material.rigidity === "flexible",
    radial: place.radial === true,
    ...besideFill(damage, place, log),
  });
  const films = filmsOver(damage, log);
  return {
    id: place.id,
    title: place.label,
    substrate: on.label.toLowerCase(),
    hatch: on.hatch,
    note: `${profile.kind === "peak" ? "standing on the broken face" : "outer face up"}${wallWords(place)}`,
    scene,
    layers: rows,
    films,
    words: lossWords(place, on.label, rows, proud_mm, films),
  };
}

/** What lies in and about a fill by the operations at its place: the key, the barrier, what closes it behind, the core in it. */
function besideFill(damage: WorkedDamage, place: WorkPlace, log: Log) {
  const has = (of: (operation: Operation) => boolean) => opsAt(log, place, of).length > 0;
  const dam = damage.places.some(({ kind }) => kind === "backing") ? "patch" : has(({ kind }) => kind === "form") && "form";
  return {
    keyed: has(({ kind }) => kind === "key"),
    ...present({
      barrier: has(({ name }) => name === "barrier") ? "coat on the break" : undefined,
      dam: dam || undefined,
      core: place.around_core ? coreIn(damage) : undefined,
    }),
  };
}

/** What is thinner than it is deep is seen along its wall. */
const wallWords = (place: WorkPlace): string =>
  place.build_mm !== undefined && buildOf(place) < (place.depth_mm ?? 0)
    ? `, seen along the wall, which is ${plain(place.build_mm)} mm thick`
    : "";

/** The rod that stands in what is built up. */
function coreIn({ context: { brace } }: WorkedDamage) {
  const { diameter_mm, embed_mm, out_mm, length_mm = 0 } = brace?.size ?? {};
  if (!brace || brace.refused || diameter_mm === undefined || embed_mm === undefined) return undefined;
  return { words: `${brace.kind} Ø ${plain(diameter_mm)}`, diameter_mm, embed_mm, out_mm: out_mm ?? length_mm - embed_mm };
}

function layerRow(layers: PlaceLayers["layers"], i: number, place: WorkPlace, log: Log, ground: string): CutLayer {
  const { link, applied_mm, surface_mm } = layers[i] as PlaceLayers["layers"][number];
  const n = i + 1;
  const [laid] = opsAt(log, place, ({ kind, layer }) => (kind === "place" || kind === "pour") && layer === n);
  const [mix] = opsAt(log, place, ({ kind, layer }) => kind === "mix" && layer === n);
  const mark = laid && log.marks.get(laid.id);
  const mixed = mix && log.marks.get(mix.id);
  const act = laid && log.acts.get(laid.id);
  const below = layers[i - 1]?.surface_mm ?? -buildOf(place);
  return {
    name: layers.length > 1 ? `Layer ${n}` : "The fill",
    material: link.material.name,
    hatch: hatchOf(layers, i, ground),
    plan_mm: applied_mm,
    shrinks_mm: Math.max(0, applied_mm - (surface_mm - below)),
    state: mark ? "done" : act?.state === "now" ? "now" : "planned",
    ...present({
      op: laid?.id,
      ...massOf(mix, mixed, place),
      done_mm: mark?.body.kind === "done" && mark.body.surface_mm !== undefined ? mark.body.surface_mm - below : undefined,
      at: (mark ?? mixed)?.at,
      from: act?.from,
    }),
  };
}

/** Every second layer of one stuff has its hatch turned, and the first where the ground is of the same: they can be told apart. */
function hatchOf(layers: PlaceLayers["layers"], i: number, ground: string): string {
  const hatch = layers[i]?.link.material.hatch ?? "putty";
  const before = layers.slice(0, i).filter(({ link }) => link.material.hatch === hatch).length;
  return (before + (hatch === ground ? 1 : 0)) % 2 === 0 ? hatch : `${hatch}-2`;
}

/** What a place takes of a mix, g: its share of what is planned, and of what was weighed. */
function massOf(mix: Operation | undefined, mixed: Mark | undefined, place: WorkPlace) {
  const plan_g = mix?.portions?.find((each) => each.place === place.id)?.mass_g ?? mix?.mass_g;
  const parts = mixed?.body.kind === "done" ? mixed.body.start?.parts : undefined;
  const weighed = parts && takenInAll(parts);
  const share = plan_g !== undefined && mix?.mass_g ? plan_g / mix.mass_g : 1;
  return { plan_g, done_g: weighed === undefined ? undefined : weighed * share };
}

/** Dry thickness of the coats that will lie over a damage, in their order, µm. */
function filmsOver({ id, links }: WorkedDamage, { operations, marks }: Log): Film[] {
  return coatsLeft(operations, id).flatMap((operation): Film[] => {
    const material = materialOf({ links }, operation);
    if (!material) return [];
    return [
      {
        name: inSentence(material.name),
        um: dryFilmUm(material, operation.thickness_mm ?? 0),
        hatch: material.hatch,
        done: marks.has(operation.id),
      },
    ];
  });
}

/** A joint is cut where the height of its section is known. */
function jointCut(damage: WorkedDamage, place: WorkPlace): Cut | undefined {
  const across_mm = acrossOf(damage, place);
  const glue = damage.links.find((link) => link.place === place.id && link.role === "adhesive");
  if ((place.kind !== "faces" && place.kind !== "backing") || across_mm === undefined || !glue) return undefined;
  const { f, brace } = damage.context;
  const film_mm = place.film_mm ?? 0.1;
  const lies = place.kind === "backing" ? backed(place, damage) : brace;
  const scene = jointScene({
    across_mm,
    film_mm,
    ...(place.kind === "backing" ? { open_mm: lostOf(damage) } : {}),
    slope_mm: place.slope_mm ?? 0,
    hatch: f.on.hatch,
    glue: inSentence(glue.material.name),
    ...present({ brace: lies }),
  });
  const parts = [
    `Section of ${inSentence(place.label)} in ${f.on.label.toLowerCase()}, ${plain(across_mm)} mm high`,
    `film of ${inSentence(glue.material.name)} ${plain(film_mm, 2)} mm`,
    ...(lies && !lies.refused ? scene.notes.slice(1).map(({ bold, words }) => `${bold}${words}`) : []),
  ];
  return {
    id: place.id,
    title: place.label,
    substrate: f.on.label.toLowerCase(),
    hatch: f.on.hatch,
    note: place.kind === "backing" ? "across the line, outer face up" : "along the piece, outer face up",
    scene,
    layers: [],
    films: [],
    words: `${parts.join(", ")}.`,
  };
}

/** Height of the section at a joint: of its member, else how thick the broken thing is, mm. */
function acrossOf({ context: { damage } }: WorkedDamage, place: WorkPlace): number | undefined {
  const thick = "thickness_mm" in damage ? damage.thickness_mm : "depth_mm" in damage ? damage.depth_mm : undefined;
  const found = sectionHeight(place) ?? thick;
  return found !== undefined && found > 0 ? found : undefined;
}

/** What is missing between the edges, mm: the lost strip of a tear, the width of a hole. */
const lostOf = ({ context: { damage } }: WorkedDamage): number =>
  ("lost_mm" in damage ? damage.lost_mm : "diameter_mm" in damage ? damage.diameter_mm : undefined) ?? 0;

/** A patch as wide as its place says. */
const backed = ({ width_mm = 0 }: WorkPlace, damage: WorkedDamage): SizedBrace => ({
  kind: "patch",
  size: { width_mm, margin_mm: (width_mm - lostOf(damage)) / 2 },
  reasons: [],
});

function lossWords(place: WorkPlace, on: string, rows: readonly CutLayer[], proud_mm: number, films: readonly Film[]): string {
  const each = rows.map((row) => {
    const thick = `${plain(row.plan_mm, 2)} mm of ${inSentence(row.material)}`;
    const found = row.done_mm === undefined ? "" : `, measured ${plain(row.done_mm, 2)} mm`;
    return `${inSentence(row.name)}: ${thick}${row.plan_g ? `, ${doseGrams(row.plan_g)}` : ""}, ${row.state}${found}`;
  });
  const over =
    films.length > 0
      ? ` Over it ${counted(films.length, "coat")}: ${films.map(({ name, um }) => `${name} ${plain(um, 0)} µm`).join(", ")}.`
      : "";
  const proud = proud_mm > 0 ? ` Laid ${plain(proud_mm, 2)} mm proud, levelled to the old surface.` : "";
  return `Section of ${inSentence(place.label)} in ${on.toLowerCase()}, ${plain(place.depth_mm ?? 0)} mm deep. From below: ${each.join("; ")}.${proud}${over}`;
}
