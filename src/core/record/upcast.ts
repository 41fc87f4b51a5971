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
function stepsBecomeOperations(body: Body): Body {
  return SECOND[body.kind]?.(body) ?? body;
}

type Body = StoredEntry["body"];

const noted = (station: unknown, text: string): Body => ({ kind: "noted", station, text });
const done = (op: string, fields: object): Body => ({ kind: "done", op, ...fields });
const took = ({ hands_min, note }: Body) => ({
  ...(hands_min === undefined ? {} : { hands_min }),
  ...(note === undefined ? {} : { note }),
});
const started = (body: Body) => ({
  ...took(body),
  start: {
    class: body.class,
    ...(body.product ? { product: body.product } : {}),
    thickness_mm: body.thickness_mm,
    ...(body.parts ? { parts: body.parts } : {}),
    climate: body.climate,
  },
});

/** What each kind of the first version is in the second; what is not here stays as it is. */
const SECOND: Readonly<Record<string, (body: Body) => Body>> = {
  surveyed: (body) => {
    const { decision, ...rest } = body as { kind: string; decision?: { option: string; reason: string } };
    return decision ? { ...rest, way: { way: decision.option, reason: decision.reason } } : rest;
  },
  "step-done": (body) => done(opOfStep(body.station, body.step), took(body)),
  "step-skipped": (body) => ({ kind: "skipped", op: opOfStep(body.station, body.step), reason: body.reason }),
  mixed: (body) => done(`ordinal/mix/${String(body.layer)}`, started(body)),
  clamped: (body) => done(`r1/join/bond-1/${FIRST}`, started(body)),
  coated: (body) => done(`ordinal/coat/${String(body.layer)}`, started(body)),
  placed: ({ layer, applied_mm }) => done(`ordinal/place/${String(layer)}`, { applied_mm }),
  measured: ({ surface_mm }) => done("ordinal/check/1", { surface_mm }),
  "grit-done": (body) => {
    const { system, grade } = body.grade as { system: string; grade: number };
    return done(`ordinal/grit/${system}${grade}`, took(body));
  },
  "went-back": ({ reason }) => noted("level", `Went back to a coarser grade: ${String(reason)}`),
  "ladder-set": () => noted("level", "Set another ladder"),
  "steps-ordered": ({ station }) => noted(station, "Put the steps in another order"),
  "station-done": ({ station, note }) => noted(station, `Station done${note ? `. ${String(note)}` : ""}`),
  "station-skipped": ({ station, reason }) => noted(station, `Station skipped: ${String(reason)}`),
  closed: ({ steps: _steps, ...rest }) => rest as Body,
};

/**
 * The second version kept findings under names of one's own; the third has a field for each that is known: the old ones stay, as words. And
 * it put down what was planned as weighed: what is the plan to the last digit, and on no scale, nobody weighed.
 */
function findingsBecomeWords({ found, ...stored }: Body): Body {
  const body = unweighed(stored as Body);
  if (body.kind !== "done" || typeof found !== "object" || found === null) return found === undefined ? body : { ...body, found };
  const words = Object.entries(found).map(([what, value]) => `${what}: ${String(value)}`);
  const note = [...words, ...(body.note ? [String(body.note)] : [])].join(". ").slice(0, 2000);
  return note === "" ? body : { ...body, note };
}

interface OldStart {
  readonly scale?: unknown;
  readonly parts?: ReadonlyArray<{ readonly planned_g: number; readonly actual_g?: number }>;
}

function unweighed(body: Body): Body {
  const start = body.start as OldStart | undefined;
  if (!start?.parts || start.scale || body.batch || start.parts.some(({ planned_g, actual_g }) => planned_g !== actual_g)) return body;
  return { ...body, start: { ...start, parts: start.parts.map(({ actual_g: _assumed, ...part }) => part) } };
}

/** The third version said "school" for a way of shaping, and "outcome" for a defect. */
function inTheFieldsWords({ school, outcome, ...body }: Body): Body {
  if (body.kind === "fill-set" && school !== undefined) return { ...body, shaping: school };
  return body.kind === "came-out" ? { ...body, defect: outcome } : { ...body, ...present({ school, outcome }) };
}
