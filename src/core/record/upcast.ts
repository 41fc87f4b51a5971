import { present } from "../units";
import { BODY_VERSION, type LogEntry } from "./events.schema";

/** A log line as it may have been stored: its body of any version. */
export interface StoredEntry extends Omit<LogEntry, "body" | "v"> {
  readonly v?: number;
  readonly body: { readonly kind: string; readonly [field: string]: unknown };
}

interface Upcaster {
  readonly id: string;
  readonly from: number;
  readonly up: (body: StoredEntry["body"]) => StoredEntry["body"];
}

/** Brings bodies of older versions forward, one version a row. A new version is a new row with its fixture in the test. */
export const UPCASTERS: readonly Upcaster[] = [
  { id: "1-steps-become-operations", from: 1, up: stepsBecomeOperations },
  { id: "2-findings-become-words", from: 2, up: findingsBecomeWords },
  { id: "3-shaping-and-defects", from: 3, up: inTheFieldsWords },
];

/** A stored line as today's code reads it. What no row knows passes as it is: the schema judges it. */
export function upcast({ v = 1, body, ...entry }: StoredEntry): LogEntry {
  const brought = UPCASTERS.filter(({ from }) => from >= v).reduce((each, { up }) => up(each), body);
  return { ...entry, v: BODY_VERSION, body: brought } as LogEntry;
}

/** Steps of the first version and the operations that they became. `*` stands for the first damage. */
const STEPS: Readonly<Record<string, string>> = {
  "ready/photograph": "ready/photograph",
  "ready/take-apart": "ready/take-apart",
  "ready/fall-back": "ready/fall-back",
  "ready/old-paint": "ready/lead-test",
  "ready/mask": "ready/mask",
  "ready/test-spot": "ready/test-spot",
  "ready/dampen": "fill/damp/*",
  "ready/dam": "fill/dam/*",
  "ready/off-release": "colour/release-off/*",
  "join/brace": "join/fit-brace/*",
  "join/patch": "join/cut-patch/*",
  "join/spread": "join/bond-1/*",
  "join/lay-up": "join/back/*",
  "join/clamp": "join/clamp-1/*",
  "join/check": "join/check-1/*",
  "join/unclamp": "join/unclamp-1/*",
  "colour/dust": "colour/dust-off/*",
};

const FIRST = "d1";

function opOfStep(station: unknown, step: unknown): string {
  const name = `${String(station)}/${String(step)}`;
  const trim = /^fill\/trim-(\d+)$/.exec(name);
  if (trim) return `r1/fill/blade/${FIRST}`;
  return `r1/${(STEPS[name] ?? `${name}/*`).replace("*", FIRST)}`;
}

/**
 * The first version told steps, layers and coats by number; the second tells operations by id. Layers, coats and mixes keep their number
 * as `ordinal/…`, which a plan resolves to its own nth operation of that kind.
 */
function stepsBecomeOperations(body: StoredEntry["body"]): StoredEntry["body"] {
  const { kind, hands_min, note, layer } = body;
  const took = { ...(hands_min === undefined ? {} : { hands_min }), ...(note === undefined ? {} : { note }) };
  const start = {
    class: body.class,
    ...(body.product ? { product: body.product } : {}),
    thickness_mm: body.thickness_mm,
    ...(body.parts ? { parts: body.parts } : {}),
    climate: body.climate,
  };
  switch (kind) {
    case "surveyed": {
      const { decision, ...rest } = body as { kind: string; decision?: { option: string; reason: string } };
      return decision ? { ...rest, way: { way: decision.option, reason: decision.reason } } : rest;
    }
    case "step-done":
      return { kind: "done", op: opOfStep(body.station, body.step), ...took };
    case "step-skipped":
      return { kind: "skipped", op: opOfStep(body.station, body.step), reason: body.reason };
    case "mixed":
      return { kind: "done", op: `ordinal/mix/${String(layer)}`, ...took, start };
    case "clamped":
      return { kind: "done", op: `r1/join/bond-1/${FIRST}`, ...took, start };
    case "coated":
      return { kind: "done", op: `ordinal/coat/${String(layer)}`, ...took, start };
    case "placed":
      return { kind: "done", op: `ordinal/place/${String(layer)}`, applied_mm: body.applied_mm };
    case "measured":
      return { kind: "done", op: "ordinal/check/1", surface_mm: body.surface_mm };
    case "grit-done": {
      const { system, grade } = body.grade as { system: string; grade: number };
      return { kind: "done", op: `ordinal/grit/${system}${grade}`, ...took };
    }
    case "went-back":
      return { kind: "noted", station: "level", text: `Went back to a coarser grade: ${String(body.reason)}` };
    case "ladder-set":
      return { kind: "noted", station: "level", text: "Set another ladder" };
    case "steps-ordered":
      return { kind: "noted", station: body.station, text: "Put the steps in another order" };
    case "station-done":
      return { kind: "noted", station: body.station, text: `Station done${note ? `. ${String(note)}` : ""}` };
    case "station-skipped":
      return { kind: "noted", station: body.station, text: `Station skipped: ${String(body.reason)}` };
    case "closed": {
      const { steps: _steps, ...rest } = body;
      return rest as StoredEntry["body"];
    }
    default:
      return body;
  }
}

/**
 * The second version kept findings under names of one's own; the third has a field for each that is known: the old ones stay, as words. And
 * it put down what was planned as weighed: what is the plan to the last digit, and on no scale, nobody weighed.
 */
function findingsBecomeWords({ found, ...stored }: StoredEntry["body"]): StoredEntry["body"] {
  const body = unweighed(stored as StoredEntry["body"]);
  if (body.kind !== "done" || typeof found !== "object" || found === null) return found === undefined ? body : { ...body, found };
  const words = Object.entries(found).map(([what, value]) => `${what}: ${String(value)}`);
  const note = [...words, ...(body.note ? [String(body.note)] : [])].join(". ").slice(0, 2000);
  return note === "" ? body : { ...body, note };
}

interface OldStart {
  readonly scale?: unknown;
  readonly parts?: ReadonlyArray<{ readonly planned_g: number; readonly actual_g?: number }>;
}

function unweighed(body: StoredEntry["body"]): StoredEntry["body"] {
  const start = body.start as OldStart | undefined;
  if (!start?.parts || start.scale || body.batch || start.parts.some(({ planned_g, actual_g }) => planned_g !== actual_g)) return body;
  return { ...body, start: { ...start, parts: start.parts.map(({ actual_g: _assumed, ...part }) => part) } };
}

/** The third version said "school" for a way of shaping, and "outcome" for a defect. */
function inTheFieldsWords({ school, outcome, ...body }: StoredEntry["body"]): StoredEntry["body"] {
  if (body.kind === "fill-set" && school !== undefined) return { ...body, shaping: school };
  return body.kind === "came-out" ? { ...body, defect: outcome } : { ...body, ...present({ school, outcome }) };
}
