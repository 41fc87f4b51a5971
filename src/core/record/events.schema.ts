import { type Static, type TProperties, Type } from "@sinclair/typebox";
import { CLASS_ROWS, type ClassName, STATIONS } from "../catalogue";
import { COAT_DEFECTS } from "../colour/coatDefects.data";
import { LabSchema } from "../colour/colour.schema";
import { COLOUR_STATE_NAMES } from "../colour/states.data";
import { MIX_DEFECTS } from "../fill/mixDefects.data";
import { SHAPING_NAMES, TEXTURE_NAMES } from "../fill/shaping.data";
import { SPOT_NAMES } from "../fill/spots.data";
import { BRACE_JOINTS, BRACE_KINDS, BraceSize } from "../join/brace.schema";
import { GradeInput } from "../level/ladder.schema";
import { ChainLink, OwnProductSchema } from "../match/match.schema";
import { CLAMP_KINDS, MOST_CLAMPS } from "../ready/clamps.data";
import { FORM_NAMES } from "../ready/forms.data";
import { STANCE_SCHEMA, SurveySchema } from "../survey/survey.schema";
import { above0, celsius, from0, instant, name, oneOf, strict, tagged } from "../units/schema";

const event = <K extends string, P extends TProperties>(kind: K, fields: P) => strict({ kind: Type.Literal(kind), ...fields });

const Station = oneOf(STATIONS.map(({ station }) => station));
const ClassSchema = oneOf(CLASS_ROWS.map((row) => row.class) as ClassName[]);
const minutes = () => Type.Optional(Type.Number({ minimum: 0, maximum: 10_000 }));
const text = (maxLength = 4000) => Type.String({ minLength: 1, maxLength });
const gloss = () => Type.Number({ minimum: 0, maximum: 100 });
/** Ways to come out badly: of a mix, then of a coat. */
const CAME_OUT = [...MIX_DEFECTS.map(({ defect }) => defect), ...COAT_DEFECTS.map(({ defect }) => defect)] as const;
export type CameOut = (typeof CAME_OUT)[number];
const mm = () => Type.Number({ minimum: 0, maximum: 1000 });
/** What a brace may be let into: the joints of `brace`, and a thin place that is backed. */
const BRACED = [...BRACE_JOINTS, "worn-thin"] as const;

/** A class is put to work and its clock starts: a batch mixed, a joint clamped, a coat laid. */
const Start = strict({
  class: ClassSchema,
  product: Type.Optional(OwnProductSchema),
  /** Film or layer thickness that the drying is reckoned with. */
  thickness_mm: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
  /** Without `actual_g` nobody weighed it: it was taken as planned. */
  parts: Type.Optional(Type.Array(strict({ name: name(), planned_g: from0(), actual_g: Type.Optional(from0()) }), { maxItems: 20 })),
  /** What it was weighed on, and by how much that may be off. */
  scale: Type.Optional(strict({ name: Type.String({ minLength: 1, maxLength: 120 }), off_g: from0() })),
  /** The lot it was taken from, as the jar is labelled. */
  lot: Type.Optional(Type.String({ minLength: 1, maxLength: 120 })),
  /** The same by its id: that jar goes down by what was mixed. */
  lot_id: Type.Optional(Type.String({ format: "uuid" })),
  /** A second jar of it that was mixed in, and so many grams of it. */
  also: Type.Optional(
    strict({
      lot: Type.String({ minLength: 1, maxLength: 120 }),
      lot_id: Type.Optional(Type.String({ format: "uuid" })),
      mass_g: above0(1e6),
    }),
  ),
  /** The air as it was read then: a later setting of the air changes no record. */
  climate: strict({ temp_C: celsius(), rh_pct: Type.Number({ minimum: 0, maximum: 100 }) }),
});
export type Start = Static<typeof Start>;

/** An operation, a place, a damage by their ids. */
const ref = () => Type.String({ minLength: 1, maxLength: 200 });
const damage = () => Type.Optional(Type.String({ pattern: "^[a-z][a-z0-9-]*$", maxLength: 40 }));

/** Done against the plan: too early, too late, out of order, against a rule; and why. */
const Against = strict({
  state: oneOf(["too-early", "too-late", "blocked"] as const),
  because: text(2000),
  /** Minutes that had passed, and that were asked for. */
  passed_min: Type.Optional(from0(1e7)),
  asked_min: Type.Optional(from0(1e7)),
});

const share = () => Type.Number({ minimum: 0, maximum: 1 });
const shard = () => Type.Integer({ minimum: 0, maximum: 59 });
const shardList = () => Type.Array(shard(), { minItems: 1, maxItems: 60 });
const shardCount = () => Type.Integer({ minimum: 2, maximum: 60 });

/** The way that a damage is met where it is not the first, and why. */
const Way = strict({ way: name(), reason: text(2000) });

/** What can be written in the log of a treatment. The log is append-only: `withdrawn` and `corrects` refer back. */
export const EventBody = tagged("kind", [
  /** A damage of this treatment: the first is "d1"; a further one may be on another part of the piece. */
  event("surveyed", {
    damage: damage(),
    part: Type.Optional(Type.String({ format: "uuid" })),
    title: Type.Optional(name()),
    survey: SurveySchema,
    way: Type.Optional(Way),
    hands_min: minutes(),
  }),
  event("matched", {
    damage: damage(),
    stance: STANCE_SCHEMA,
    chain: Type.Array(ChainLink, { minItems: 1, maxItems: 60 }),
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
    /** The operation that it follows; absent = the last of its station. */
    after: Type.Optional(ref()),
  }),
  /** Assembled without glue: how long it took, whether two marks meet across the break, and where every clamp stands. */
  event("dry-run", {
    damage: damage(),
    minutes: Type.Number({ exclusiveMinimum: 0, maximum: 600 }),
    two_marks: Type.Boolean(),
    items: Type.Array(strict({ kind: oneOf(CLAMP_KINDS), x: share(), y: share() }), { maxItems: MOST_CLAMPS }),
    hands_min: minutes(),
  }),
  event("shards-mapped", {
    damage: damage(),
    count: shardCount(),
    touching: Type.Array(Type.Tuple([shard(), shard()]), { maxItems: 1770 }),
    rim: Type.Array(shard(), { maxItems: 60 }),
    /** Where they lie on the picture, shard by shard. */
    places: Type.Optional(Type.Array(strict({ x: share(), y: share() }), { maxItems: 60 })),
    /** The order in which they are joined, sitting by sitting. */
    order: Type.Optional(
      Type.Array(Type.Array(strict({ a: shardList(), b: shardList() }), { minItems: 1, maxItems: 60 }), { maxItems: 60 }),
    ),
  }),
  event("form-chosen", { damage: damage(), form: oneOf(FORM_NAMES), reason: Type.Optional(Type.String({ maxLength: 2000 })) }),
  /** How a loss is filled where it is not as proposed: its shaping, grain, height, what is mixed over the need, volumes known better. */
  event("fill-set", {
    damage: damage(),
    shaping: Type.Optional(oneOf(SHAPING_NAMES)),
    texture: Type.Optional(oneOf(TEXTURE_NAMES)),
    proud_mm: Type.Optional(Type.Number({ minimum: 0, maximum: 20 })),
    extra_pct: Type.Optional(Type.Number({ minimum: 0, maximum: 200 })),
    volumes: Type.Optional(Type.Array(strict({ place: ref(), cm3: above0(1e6), by: text(200) }), { maxItems: 60 })),
  }),
  /** Something was found of a filled face when it was looked at, and where on the condition map. */
  event("spot-found", {
    damage: damage(),
    x: share(),
    y: share(),
    what: oneOf(SPOT_NAMES),
    depth_mm: Type.Optional(above0(100)),
  }),
  /** A coarser grade was needed again: that one and every finer one come once more. */
  event("stepped-back", { damage: damage(), to: GradeInput, because: text(2000) }),
  /** The brace that is let in, or `none`; `reason` where it is not what was worked out. */
  event("braced", {
    damage: damage(),
    joint: oneOf(BRACED),
    brace: oneOf(BRACE_KINDS),
    size: BraceSize,
    /** The load and lever that it was judged by, as typed; without a load, handling. */
    judged_by: Type.Optional(strict({ load_N: Type.Optional(from0(20_000)), lever_mm: Type.Optional(from0(20_000)) })),
    /** The jig and the bit that its slot is routed with, where they are not the shop's. */
    router: Type.Optional(strict({ jig_mm: Type.Optional(above0(100)), bit_mm: Type.Optional(above0(100)) })),
    reason: Type.Optional(text(2000)),
  }),
  event("marked", { damage: damage(), x: Type.Number({ minimum: 0, maximum: 1 }), y: Type.Number({ minimum: 0, maximum: 1 }) }),
  /** An operation of the plan is behind. What it started, what was weighed, what was found, and why it was not as planned. */
  event("done", {
    op: ref(),
    /** The operation as it stood in the plan then, put in by the server: a later choice of material changes no word of it. */
    words: Type.Optional(text(1000)),
    /** What it was, in a few words, as the plan called it then. */
    title: Type.Optional(text(200)),
    /** The batch that it was mixed in with others, and what this treatment took of it, g. */
    batch: Type.Optional(Type.String({ format: "uuid" })),
    portion_g: Type.Optional(from0(1e6)),
    /** Of the last cup of several: what was planned of all of them, g. */
    whole_g: Type.Optional(from0(1e6)),
    /** The places it covered, where it was not all that it names. */
    places: Type.Optional(Type.Array(ref(), { maxItems: 200 })),
    hands_min: minutes(),
    note: Type.Optional(Type.String({ maxLength: 2000 })),
    start: Type.Optional(Start),
    /** Height against the original surface when it was measured, mm; thickness as it was laid. */
    surface_mm: Type.Optional(Type.Number({ minimum: -1000, maximum: 1000 })),
    applied_mm: Type.Optional(mm()),
    /** Thickness read off a caliper, mm. */
    caliper_mm: Type.Optional(mm()),
    /** Film read off a gauge beside what was sanded, µm. */
    film_um: Type.Optional(Type.Number({ minimum: 0, maximum: 10_000 })),
    /** Paper that it used up, put in by the server where the shop counts its sheets. */
    paper: Type.Optional(strict({ grade: GradeInput, sheets: from0(10_000) })),
    against: Type.Optional(Against),
  }),
  /** One cup of a mix that is stirred in several, and not the last: that one is the mix `done`. It has a pot life of its own. */
  event("batch-mixed", {
    op: ref(),
    words: Type.Optional(text(1000)),
    title: Type.Optional(text(200)),
    hands_min: minutes(),
    note: Type.Optional(Type.String({ maxLength: 2000 })),
    start: Start,
    against: Type.Optional(Against),
  }),
  /** A mix that is worth keeping: what it was to meet, of what it is, and what it ended at where that was read. */
  event("recipe-kept", {
    name: text(120),
    class: Type.Optional(ClassSchema),
    target: LabSchema,
    /** The state that the target is of. */
    state: Type.Optional(oneOf(COLOUR_STATE_NAMES)),
    parts: Type.Array(strict({ name: name(), pct: Type.Number({ minimum: 0, maximum: 100 }) }), { minItems: 1, maxItems: 12 }),
    mass_g: Type.Optional(above0(10_000)),
    /** As it was reckoned, and by how much that misses. */
    dE00: Type.Optional(from0(200)),
    /** As the dried sample was read. */
    ended: Type.Optional(LabSchema),
    hands_min: minutes(),
  }),
  /** One reading of a swatch in one state; readings of one swatch have one id. */
  event("swatch-read", {
    swatch: Type.String({ format: "uuid" }),
    name: text(120),
    class: ClassSchema,
    recipe: Type.Optional(Type.String({ format: "uuid" })),
    state: oneOf(COLOUR_STATE_NAMES),
    lab: LabSchema,
    by: oneOf(["photograph", "typed"] as const),
    hands_min: minutes(),
  }),
  /** Looked at when its clock said that it was ready, and still soft: its later stages are reckoned anew. */
  event("found-soft", { op: ref(), note: Type.Optional(Type.String({ maxLength: 2000 })), hands_min: minutes() }),
  /** How a mix or a coat came out; what the record spoke for then, and what to change in the next one. */
  event("came-out", {
    op: ref(),
    defect: oneOf(CAME_OUT),
    causes: Type.Optional(Type.Array(text(500), { maxItems: 20 })),
    next: Type.Optional(text(500)),
    hands_min: minutes(),
  }),
  /** Gloss of the repair and beside it, as a meter reads it at 60°, and what brings one to the other. */
  event("sheen-read", { here_gu: gloss(), beside_gu: gloss(), next: Type.Optional(text(500)), hands_min: minutes() }),
  event("skipped", { op: ref(), words: Type.Optional(text(1000)), title: Type.Optional(text(200)), reason: text(2000) }),
  /** "Back to Fill, because …": the operations of those places come again from there on, as the next round. */
  event("round-opened", {
    station: Station,
    places: Type.Array(ref(), { minItems: 1, maxItems: 200 }),
    because: text(2000),
    low_mm: Type.Optional(above0(1000)),
    /** What it is filled with, where that is not left to the plan. */
    filler: Type.Optional(ClassSchema),
    /** How many of those that are alike; absent = one. */
    count: Type.Optional(Type.Integer({ minimum: 1, maximum: 500 })),
  }),
  /** A damage is treated apart from here on, as a treatment of its own. */
  event("parted", {
    damage: Type.String({ pattern: "^[a-z][a-z0-9-]*$", maxLength: 40 }),
    to: Type.String({ format: "uuid" }),
    title: name(),
  }),
  event("noted", { station: Station, text: text() }),
  /** `operations`: what was planned when it was signed, in its own words; no later table changes it. */
  event("closed", {
    notes: Type.String({ maxLength: 8000 }),
    signed_by: name(),
    hands_min: minutes(),
    operations: Type.Optional(
      Type.Array(
        strict({
          id: ref(),
          station: Station,
          round: Type.Integer({ minimum: 1 }),
          title: Type.Optional(text(200)),
          text: text(1000),
          /** In the middle, and low to high as it was planned. */
          hands_min: from0(100_000),
          hands_range: Type.Optional(Type.Unsafe<readonly [number, number]>(Type.Tuple([from0(100_000), from0(100_000)]))),
          status: oneOf(["open", "running", "done", "skipped"] as const),
        }),
        { maxItems: 1000 },
      ),
    ),
  }),
  event("reopened", { reason: text(2000) }),
  event("withdrawn", { reason: Type.Optional(Type.String({ maxLength: 2000 })) }),
]);
export type EventBody = Static<typeof EventBody>;
export type EventKind = EventBody["kind"];
export type BodyOf<K extends EventKind> = Extract<EventBody, { kind: K }>;

/** The version of a body that is written today. */
export const BODY_VERSION = 4;

/** One line of the log. */
export const LogEntry = strict({
  id: Type.String({ format: "uuid" }),
  seq: Type.Integer({ minimum: 1 }),
  /** Version of the body; older ones are brought forward by `upcast`. */
  v: Type.Optional(Type.Literal(BODY_VERSION)),
  at: instant(),
  by: Type.Optional(Type.String({ minLength: 1, maxLength: 200 })),
  corrects: Type.Optional(Type.String({ format: "uuid" })),
  body: EventBody,
});
export type LogEntry = Static<typeof LogEntry>;
