import { type Static, type TProperties, Type } from "@sinclair/typebox";
import { CLASS_ROWS, type ClassName, STATIONS } from "../catalogue";
import { BRACE_JOINTS, BRACE_KINDS } from "../join/brace.schema";
import { LadderSystem } from "../level/ladder.schema";
import { ChainLink, OwnProductSchema } from "../match/match.schema";
import { CLAMP_KINDS, MOST_CLAMPS } from "../ready/clamps.data";
import { FORM_NAMES } from "../ready/forms.data";
import { DamageSchema, STANCE_SCHEMA, SurveySchema } from "../survey/survey.schema";
import { celsius, from0, instant, name, oneOf, strict, tagged } from "../units/schema";

const event = <K extends string, P extends TProperties>(kind: K, fields: P) => strict({ kind: Type.Literal(kind), ...fields });

const Station = oneOf(STATIONS.map(({ station }) => station));
const ClassSchema = oneOf(CLASS_ROWS.map((row) => row.class) as ClassName[]);
const GradeSchema = strict({ system: LadderSystem, grade: Type.Number({ exclusiveMinimum: 0, maximum: 100_000 }) });
const minutes = () => Type.Optional(Type.Number({ minimum: 0, maximum: 10_000 }));
const text = (maxLength = 4000) => Type.String({ minLength: 1, maxLength });
const mm = () => Type.Number({ minimum: 0, maximum: 1000 });
/** What a brace may be let into: the joints of `brace`, and a thin place that is backed. */
const BRACED = [...BRACE_JOINTS, "worn-thin"] as const;

/** A class is put to work and its clock starts: a batch mixed, a joint clamped, a coat laid. */
const started = {
  class: ClassSchema,
  product: Type.Optional(OwnProductSchema),
  /** Layer of the fill, coat of the colour; 1 for a joint. */
  layer: Type.Integer({ minimum: 1, maximum: 200 }),
  /** Film or layer thickness that the drying is reckoned with. */
  thickness_mm: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
  parts: Type.Optional(Type.Array(strict({ name: name(), planned_g: from0(), actual_g: from0() }), { maxItems: 20 })),
  climate: strict({ temp_C: celsius(), rh_pct: Type.Number({ minimum: 0, maximum: 100 }) }),
  hands_min: minutes(),
};

const share = () => Type.Number({ minimum: 0, maximum: 1 });
const shard = () => Type.Integer({ minimum: 0, maximum: 59 });
const shardCount = () => Type.Integer({ minimum: 2, maximum: 60 });

/** How the damage is met where there is a choice, and why; `damage` is what is then treated, absent = no chain is needed. */
const Decision = strict({ option: name(), reason: text(2000), damage: Type.Optional(DamageSchema) });
export type Decision = Static<typeof Decision>;

/** What can be written in the log of a treatment. The log is append-only: `withdrawn` and `corrects` refer back. */
export const EventBody = tagged("kind", [
  event("surveyed", { survey: SurveySchema, decision: Type.Optional(Decision), hands_min: minutes() }),
  event("matched", {
    stance: STANCE_SCHEMA,
    chain: Type.Array(ChainLink, { minItems: 1, maxItems: 20 }),
    reason: Type.Optional(Type.String({ maxLength: 2000 })),
    hands_min: minutes(),
  }),
  /** A step of one's own, and the order in which a station's steps are walked. */
  event("step-added", {
    station: Station,
    step: name(),
    text: text(300),
    why: Type.String({ maxLength: 500 }),
    hands_min: Type.Number({ minimum: 0, maximum: 10_000 }),
    wait_min: Type.Number({ minimum: 0, maximum: 100_000 }),
  }),
  event("steps-ordered", { station: Station, order: Type.Array(name(), { minItems: 1, maxItems: 200 }) }),
  /** Assembled without glue: how long it took, whether two marks meet across the break, and where every clamp stands. */
  event("dry-run", {
    minutes: Type.Number({ exclusiveMinimum: 0, maximum: 600 }),
    two_marks: Type.Boolean(),
    items: Type.Array(strict({ kind: oneOf(CLAMP_KINDS), x: share(), y: share() }), { maxItems: MOST_CLAMPS }),
    hands_min: minutes(),
  }),
  event("shards-mapped", {
    count: shardCount(),
    touching: Type.Array(Type.Tuple([shard(), shard()]), { maxItems: 1770 }),
    rim: Type.Array(shard(), { maxItems: 60 }),
    /** Where they lie on the picture, shard by shard. */
    places: Type.Optional(Type.Array(strict({ x: share(), y: share() }), { maxItems: 60 })),
  }),
  event("form-chosen", { form: oneOf(FORM_NAMES), reason: Type.Optional(Type.String({ maxLength: 2000 })) }),
  /** The brace that is let in, or `none`; `reason` where it is not what was worked out. */
  event("braced", {
    joint: oneOf(BRACED),
    brace: oneOf(BRACE_KINDS),
    size: Type.Record(Type.String({ maxLength: 40 }), Type.Number()),
    /** The load and lever that it was judged by, as typed; without a load, handling. */
    judged_by: Type.Optional(strict({ load_N: Type.Optional(from0(20_000)), lever_mm: Type.Optional(from0(20_000)) })),
    reason: Type.Optional(text(2000)),
  }),
  event("marked", { x: Type.Number({ minimum: 0, maximum: 1 }), y: Type.Number({ minimum: 0, maximum: 1 }) }),
  event("step-done", { station: Station, step: name(), hands_min: minutes(), note: Type.Optional(Type.String({ maxLength: 2000 })) }),
  event("step-skipped", { station: Station, step: name(), reason: text(2000) }),
  event("mixed", started),
  event("clamped", started),
  event("coated", started),
  event("placed", { layer: Type.Integer({ minimum: 1, maximum: 200 }), applied_mm: mm() }),
  event("measured", { layer: Type.Integer({ minimum: 1, maximum: 200 }), surface_mm: Type.Number({ minimum: -1000, maximum: 1000 }) }),
  event("ladder-set", { from: GradeSchema, to: GradeSchema }),
  event("grit-done", { grade: GradeSchema, hands_min: minutes() }),
  event("went-back", { to: GradeSchema, reason: text(2000) }),
  event("station-done", { station: Station, hands_min: minutes(), note: Type.Optional(Type.String({ maxLength: 2000 })) }),
  event("station-skipped", { station: Station, reason: text(2000) }),
  event("noted", { station: Station, text: text() }),
  /** `steps`: what was planned when it was signed, in order; a step that the tables gain later is none of it. */
  event("closed", {
    notes: Type.String({ maxLength: 8000 }),
    signed_by: name(),
    hands_min: minutes(),
    steps: Type.Optional(Type.Array(strict({ station: Station, step: name() }), { maxItems: 400 })),
  }),
  event("reopened", { reason: text(2000) }),
  event("withdrawn", { reason: Type.Optional(Type.String({ maxLength: 2000 })) }),
]);
export type EventBody = Static<typeof EventBody>;
export type EventKind = EventBody["kind"];
export type BodyOf<K extends EventKind> = Extract<EventBody, { kind: K }>;

/** One line of the log. */
export const LogEntry = strict({
  id: Type.String({ format: "uuid" }),
  seq: Type.Integer({ minimum: 1 }),
  at: instant(),
  corrects: Type.Optional(Type.String({ format: "uuid" })),
  body: EventBody,
});
export type LogEntry = Static<typeof LogEntry>;
