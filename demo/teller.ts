import { createHash } from "node:crypto";
import type { ClassName, Finish, PieceKind, Stance, Substrate } from "../src/core/catalogue";
import { BODY_VERSION, type EventBody, type LogEntry } from "../src/core/record/events.schema";
import { readLog } from "../src/core/record/treatment";
import type { Survey } from "../src/core/survey/survey.schema";
import { type Act, actsOf } from "../src/core/views/acts";
import { admit } from "../src/core/views/admit";
import { operationViews } from "../src/core/views/operationView";
import { type PieceFacts, worked } from "../src/core/views/worked";

/** The demo's present. The loader moves all times so that this becomes now. */
export const NOW = Date.parse("2026-10-07T11:52:00Z");
export const MINUTE = 60_000;
export const DAY = 24 * 60;
export const AIR = { temp_C: 18.6, rh_pct: 52 };

export interface StoryPart {
  readonly name: string;
  readonly substrate: Substrate;
  readonly finish: Finish;
}

export interface StoryDamage {
  readonly survey: Survey;
  /** Where it is on the condition map. */
  readonly mark?: readonly [x: number, y: number];
  /** The part that it is on, by name; absent = the first. */
  readonly part?: string;
  /** What it is called, where a treatment has several. */
  readonly title?: string;
  /** The class of the key link; the rest of the chain is what Match proposes with it. Absent = not chosen yet. */
  readonly choose?: ClassName;
}

export interface Story {
  readonly file: string;
  readonly title: string;
  readonly reference: string;
  readonly kind: PieceKind;
  readonly parts: readonly [StoryPart, ...StoryPart[]];
  readonly treatment: string;
  readonly promised?: string;
  readonly drawings: ReadonlyArray<readonly [name: string, moment: "before" | "after", caption: string, minutesAgo: number]>;
  readonly stance?: Stance;
  readonly damages: readonly StoryDamage[];
  readonly tell?: (teller: Teller) => void;
}

type Done = Extract<EventBody, { kind: "done" }>;
type Pick = (act: Act) => boolean;

/** Operations by their kind, and where it matters by their place. */
export const kind =
  (name: Act["op"]["kind"], place = ""): Pick =>
  ({ op }) =>
    op.kind === name && op.places.some((each) => each.startsWith(place));

/** Writes a log in order, asks the plan what comes next, and is held to what the app would admit. */
export class Teller {
  readonly log: LogEntry[] = [];
  readonly piece: PieceFacts;
  constructor(private readonly story: Story) {
    const parts = story.parts.map(({ name, substrate, finish }) => ({ id: partId(story, name), substrate, finish }));
    this.piece = { kind: story.kind, part: parts[0]?.id ?? "", parts };
  }

  write(minutesAgo: number, body: EventBody): void {
    const at =
      this.log
        .map((entry) => entry.at)
        .sort()
        .at(-1) ?? "";
    if (ago(minutesAgo) < at) throw new Error(`${this.story.title}: ${body.kind} is before the entry before it`);
    const refused = admit({ ...this.at(minutesAgo), at: NOW - minutesAgo * MINUTE }, body);
    if (refused) throw new Error(`${this.story.title}: ${body.kind} is refused: ${JSON.stringify(refused)}`);
    const seq = this.log.length + 1;
    this.log.push({ id: uuid(`${this.story.reference}/log/${seq}`), seq, v: BODY_VERSION, at: ago(minutesAgo), by: "M.", body });
  }

  /** What was done in its time and typed only now: it stands last in the log, at its own time. */
  typedLater(pick: (entry: LogEntry) => boolean): void {
    const late = this.log.find(pick);
    if (!late) throw new Error(`${this.story.title}: nothing like that is on record`);
    const kept = [...this.log.filter((entry) => entry !== late), late];
    this.log.splice(
      0,
      this.log.length,
      ...kept.map((entry, i) => ({ ...entry, id: uuid(`${this.story.reference}/log/${i + 1}`), seq: i + 1 })),
    );
  }

  /** Do the first open operation that is meant. */
  do(minutesAgo: number, pick: Pick, more: Partial<Done> = {}): void {
    const meant = this.acts(minutesAgo).filter((each) => isOpen(each) && pick(each));
    const act = meant.find(({ needs }) => needs === "nothing") ?? meant[0];
    if (!act) throw new Error(`${this.story.title}: nothing to do like that; open: ${this.open(minutesAgo)}`);
    this.write(minutesAgo, this.done(act, minutesAgo, more));
  }

  /** Do what is meant before its time, and say why. */
  early(minutesAgo: number, pick: Pick, because: string): void {
    const act = this.acts(minutesAgo).find((each) => each.state === "too-early" && pick(each));
    if (!act) throw new Error(`${this.story.title}: nothing is too early like that; open: ${this.open(minutesAgo)}`);
    const { since = 0, from = 0 } = act;
    const against = {
      state: "too-early" as const,
      because,
      passed_min: Math.round((NOW - minutesAgo * MINUTE - since) / MINUTE),
      asked_min: Math.round((from - since) / MINUTE),
    };
    this.write(minutesAgo, this.done(act, minutesAgo, { against }));
  }

  /**
   * Do everything in its order from `from` minutes ago, each as soon as its clock allows and hands are free, by day, but stop before the
   * first that `before` means and before `until` minutes ago. Returns how long ago the last one ended.
   */
  walk(
    from: number,
    { before = () => false, until = 1, except = () => false }: { before?: Pick; until?: number; except?: Pick } = {},
  ): number {
    let at = from;
    for (let i = 0; i < 400; i++) {
      const ready = this.acts(at).filter((each) => isOpen(each) && !except(each));
      const act =
        ready.find(({ state }) => state === "now") ??
        ready.filter(({ state }) => state === "too-early").sort((a, b) => (a.from ?? 0) - (b.from ?? 0))[0];
      if (!act || before(act)) return at;
      const opens = act.state === "too-early" ? (NOW - (act.from ?? 0)) / MINUTE - 1 : at;
      const when = endOf(act, opens);
      if (when < until || act.op.kind === "sign") return at;
      this.write(when, this.done(act, when, {}));
      at = when;
    }
    throw new Error(`${this.story.title}: it does not end`);
  }

  private at(minutesAgo: number) {
    const treatment = readLog(this.log);
    const now = NOW - minutesAgo * MINUTE;
    return { treatment, worked: worked(this.piece, treatment, AIR, { constant_C: AIR.temp_C }, now) };
  }
  acts(minutesAgo: number): Act[] {
    const { worked: found } = this.at(minutesAgo);
    return found ? actsOf(found, NOW - minutesAgo * MINUTE) : [];
  }
  private open(minutesAgo: number): string {
    return this.acts(minutesAgo)
      .filter(isOpen)
      .map(({ op, state }) => `${op.id} ${state}`)
      .join("\n");
  }
  private done(act: Act, minutesAgo: number, more: Partial<Done>): Done {
    const { treatment, worked: found } = this.at(minutesAgo);
    const [view] = found ? operationViews(treatment, found, [act], [], act.from ?? 0) : [];
    const parts = view?.parts?.map(({ name, mass_g }) => ({ name, planned_g: mass_g, actual_g: round(mass_g * 1.01) }));
    const start = view?.start ? { start: { ...view.start, ...(parts ? { parts } : {}), climate: AIR } } : {};
    return { kind: "done", op: act.op.id, hands_min: handsOf(act), ...start, ...more };
  }
}

const isOpen = ({ state }: Act) => state !== "done" && state !== "skipped";

const handsOf = ({ op }: Act) => Math.max(1, Math.round((op.hands_min[0] + op.hands_min[1]) / 2));

/** When an act is behind that is begun so many minutes ago: by day, but what has a window is never left for the night. */
function endOf(act: Act, begun: number): number {
  if (act.until === undefined) return byDay(begun - handsOf(act));
  return Math.max(begun - handsOf(act), (begun + (NOW - act.until) / MINUTE) / 2);
}

/** Minutes ago of the next hour of work, 8 to 18 o'clock. */
function byDay(minutesAgo: number): number {
  const at = new Date(NOW - minutesAgo * MINUTE);
  const minute = at.getUTCHours() * 60 + at.getUTCMinutes();
  if (minute < 8 * 60) return minutesAgo - (8 * 60 - minute);
  return minute > 18 * 60 ? minutesAgo - (DAY + 8 * 60 - minute) : minutesAgo;
}

export const partId = ({ reference }: { readonly reference: string }, name: string) => uuid(`${reference}/part/${name}`);
export const ago = (minutes: number) => new Date(Math.round(NOW - minutes * MINUTE)).toISOString();
export const round = (n: number) => Math.round(n * 100) / 100;

/** The same id for the same thing each time the demo is made. */
export function uuid(name: string): string {
  const hex = createHash("sha256").update(name).digest("hex");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}
