import type { FieldError, Problem } from "@/core/problem";
import { isPassing, send } from "../forms/send";
import type { Device } from "./device";
import { afterTheirs, dropped, gone, inTurn, isAway, isCollision, type Kept, type NewKept, nextToSend, requestOf, urlOf } from "./queue";

export type Outcome =
  | { readonly state: "saved"; readonly version: number }
  | { readonly state: "kept"; readonly problem: Problem }
  | { readonly state: "refused"; readonly problem: Problem; readonly errors: readonly FieldError[] };

/** Tells the other windows of this device. */
interface Channel {
  readonly tell: () => void;
  readonly alone: (work: () => Promise<void>) => Promise<void>;
}

/**
 * Every entry is kept first, then sent, one after the other in its treatment. What the record could not take now stays and goes up by
 * itself; what it refuses is given back to whoever is waiting for it, else it stays here with the reason until it is looked at.
 */
export class Outbox {
  private queue: readonly Kept[] = [];
  private readonly listeners = new Set<() => void>();
  private readonly results = new Map<number, Outcome>();
  private flushing: Promise<void> = Promise.resolve();

  constructor(
    private readonly device: Device,
    private readonly channel: Channel,
    private readonly now: () => number = Date.now,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): readonly Kept[] => this.queue;

  /** What this or another window kept. */
  async load(): Promise<void> {
    this.show(await this.device.all());
  }

  /** Keep an entry and try to send it, after all that is kept for its treatment. */
  async write(entry: Omit<NewKept, "version" | "since">, seen: number): Promise<Outcome> {
    const kept = await this.device.add(inTurn(this.queue, { ...entry, version: seen, since: this.now() }));
    this.show([...this.queue, kept]);
    await this.flush();
    const outcome = this.results.get(kept.id) ?? this.stateOf(kept.id);
    this.results.delete(kept.id);
    if (outcome.state === "refused") await this.keep(dropped(this.queue, kept));
    return outcome;
  }

  /** Send what may go, one window at a time. */
  flush(): Promise<void> {
    this.flushing = this.flushing.then(() => this.channel.alone(() => this.sendAll())).catch(() => undefined);
    return this.flushing;
  }

  async drop(entry: Kept): Promise<void> {
    await this.keep(dropped(this.queue, entry));
    await this.flush();
  }

  /** Write it after what others wrote meanwhile. */
  async asWell(entry: Kept): Promise<void> {
    const version = entry.problem?.version ?? entry.version;
    await this.keep(afterTheirs(this.queue, entry, version));
    await this.flush();
  }

  private async sendAll(): Promise<void> {
    await this.load();
    const tried = new Set<number>();
    for (let entry = nextToSend(this.queue, tried); entry; entry = nextToSend(this.queue, tried)) {
      tried.add(entry.id);
      const sent = await send<{ version?: number }>("POST", urlOf(entry), requestOf(entry, this.now()));
      if (sent.ok) {
        const version = sent.value.version ?? entry.version + 1;
        this.results.set(entry.id, { state: "saved", version });
        await this.keep(gone(this.queue, entry, version));
        continue;
      }
      const { id } = entry;
      await this.keep(this.queue.map((each) => (each.id === id ? { ...each, problem: sent.problem } : each)));
      if (isAway(sent.problem)) return;
    }
  }

  private stateOf(id: number): Outcome {
    const problem = this.queue.find((each) => each.id === id)?.problem ?? WAITS;
    return isPassing(problem) || isCollision(problem)
      ? { state: "kept", problem }
      : { state: "refused", problem, errors: problem.errors ?? [] };
  }

  private async keep(queue: readonly Kept[]): Promise<void> {
    await this.device.put(queue);
    this.show(queue);
    this.channel.tell();
  }

  private show(queue: readonly Kept[]): void {
    this.queue = queue;
    for (const listener of this.listeners) listener();
  }
}

/** One before it in its treatment waits to be looked at. */
const WAITS: Problem = {
  type: "urn:wanderjahr:problem:waits",
  title: "Waits",
  status: 0,
  detail: "It goes up after what is kept before it.",
};
