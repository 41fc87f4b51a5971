import { type Grade, gradeLabel, type Stage } from "../catalogue";
import { type Air, lagOf } from "../cure/lag";
import type { Words } from "../operation/row";
import type { Coat, LayerSubject } from "../operation/subject";
import { present } from "../units";
import type { Edge } from "./arrange";
import type { Draft } from "./expand";
import type { OpMark } from "./marks";
import type { Measured } from "./measure";
import type { Operation } from "./plan.schema";

/** A measured operation as a record: its words are written last, from it alone. */
export function word(op: Measured, edges: readonly Edge[], marks: ReadonlyMap<string, OpMark>, air: Air, at: number): Operation {
  const { id, round, lead, told, takes, portions, damages, here, hands_min, thickness_mm } = op;
  const { row, station, kind, name, role, link, material, grade, abrasive } = lead;
  const words: Words = asTold(row.words, told);
  const uses = ofAll(op, row.uses ?? []);
  const papers = unlike(ofAll(op, row.papers ?? []));
  const figures = figuresOf(op);
  return {
    id,
    name,
    round,
    station,
    damages: [...damages],
    places: here.map((place) => place.id),
    kind,
    ...words,
    hands_min,
    after: strongest(edges.map(edgeOf)),
    cautions: ofAll(op, row.cautions ?? []),
    mind: [],
    status: statusOf(op, marks.get(id), air, at),
    ...present({
      role: link && role,
      class: link && material?.class,
      link: link?.id,
      need_cm3: takes?.need_cm3,
      ...amountsOf(op),
      portions: portions.length > 1 ? [...portions] : undefined,
      thickness_mm,
      count: countOf(op),
      uses: uses.length > 0 ? uses : undefined,
      papers: papers.length > 0 ? papers : undefined,
      starts: row.starts,
      ...numbersOf(lead),
      grade: grade && { ...grade },
      abrasive,
      figures: Object.keys(figures).length > 0 ? figures : undefined,
    }),
  };
}

const asTold = <T>(value: T | ((op: never) => T), told: Measured["told"]): T => (value instanceof Function ? value(told as never) : value);

/** What holds for any of those that are done in one go. */
const ofAll = <T>({ members, told }: Measured, value: readonly T[] | ((op: never) => readonly T[])): T[] => [
  ...new Set(members.flatMap(({ facts }) => asTold(value, { ...told, facts }))),
];
const unlike = (grades: readonly Grade[]): Grade[] => [...new Map(grades.map((grade) => [gradeLabel(grade), grade])).values()];

/** For how many places that are alike, where it is for one kind of them. */
function countOf({ here }: Measured): number | undefined {
  const [first, ...others] = here.map(({ alike = 1 }) => alike);
  return first !== undefined && first > 1 && others.every((each) => each === first) ? first : undefined;
}

/** What it weighs; of what comes out of a mix that was weighed already only what it fills. */
function amountsOf({ lead, takes }: Measured) {
  const { amount, subject, row, kind } = lead;
  if (!takes) return {};
  if (row.each === "place")
    return {
      volume_cm3: (subject as LayerSubject).takes.reduce((sum, { volume_cm3, place }) => sum + volume_cm3 * (place.alike ?? 1), 0),
      mixed: true as const,
    };
  const { mass_g, volume_cm3, parts, batches, extra_pct } = takes;
  if (amount?.mixed) return { mass_g, volume_cm3, mixed: true as const };
  return {
    mass_g,
    volume_cm3,
    parts: [...parts],
    waste_pct: extra_pct,
    batches: row.together === "material" || kind === "back" ? batches : undefined,
  };
}

/** Which layer or coat it is, of how many. */
function numbersOf({ row: { each, starts }, subject }: Draft): {
  n?: number;
  of?: number;
  layer?: number;
  layers?: number;
  coat?: number;
  coats?: number;
  coat_name?: Coat["name"];
} {
  const { n, of } = subject;
  if (each === "layer" || each === "place") return present({ n, layer: n, layers: of });
  if (each !== "coat") return present({ n, of });
  const { coat, coats, name: coat_name } = subject as Coat;
  return present({ n, coat, coats, coat_name: starts ? coat_name : undefined });
}

/** Every figure of its words that is no field of its own, by name. */
function figuresOf({ lead: { row, facts }, told }: Measured): Record<string, number> {
  const numbers = Object.entries(facts).filter((entry): entry is [string, number] => typeof entry[1] === "number" && entry[1] !== 0);
  const reckoned = Object.entries(row.figures?.(told as never) ?? {}).filter(([, value]) => value !== 0);
  return Object.fromEntries([...numbers, ...reckoned]);
}

const edgeOf = ({ from, lag, max, share, because }: Edge): Operation["after"][number] => ({
  op: from.id,
  min_min: lag?.min ?? 0,
  min_range: lag?.range ?? [0, 0],
  because,
  ...present({
    max_min: max?.min,
    max_range: max?.range,
    stage: lag?.stage,
    closes: max?.stage,
    share: lag?.stage && share,
    closes_share: max?.stage && share,
  }),
});

/** One line for each operation that is waited for: the longest wait, the shortest window. */
function strongest(after: Operation["after"]): Operation["after"] {
  const best = new Map<string, Operation["after"][number]>();
  for (const each of after) {
    const known = best.get(each.op);
    if (!known) best.set(each.op, each);
    else best.set(each.op, { ...(each.min_min > known.min_min ? each : known), ...shorter(known, each) });
  }
  return [...best.values()];
}

/** The window that closes first, with its range. */
function shorter(a: Operation["after"][number], b: Operation["after"][number]) {
  const [first] = [a, b].filter(({ max_min }) => max_min !== undefined).sort((x, y) => (x.max_min ?? 0) - (y.max_min ?? 0));
  return present({ max_min: first?.max_min, max_range: first?.max_range, closes: first?.closes, closes_share: first?.closes_share });
}

/** Stages that a clock ends with: what was laid is hard. */
const ENDS_WITH: readonly Stage[] = ["hard", "handle", "recoat", "full", "firm", "working"];
/** Clocks older than this are not looked at any more, ms. */
const LONG_AGO_MS = 60 * 86_400_000;

/** Done, left out or open; and running while what was laid is not hard yet, in the air that is planned with. */
function statusOf({ lead, thickness_mm = 1 }: Measured, mark: OpMark | undefined, air: Air, at: number): Operation["status"] {
  if (!mark) return "open";
  const age = at - Date.parse(mark.at);
  if (mark.status !== "done" || !lead.row.starts || !lead.material || age >= LONG_AGO_MS) return mark.status;
  const through = lagOf(lead.material, ENDS_WITH, thickness_mm, air);
  return through && age < through.range[1] * 60_000 ? "running" : mark.status;
}
