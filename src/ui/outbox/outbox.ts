import type { FieldError, Problem } from "@/core/problem";
import { isPassing, send } from "../forms/send";
import type { Device, Stored } from "./device";
import {
  afterTheirs,
  dropped,
  failed,
  isAway,
  isCollision,
  type Kept,
  type NewKept,
  nextToSend,
  onItsWay,
  requestOf,
  stands,
  swept,
  triedAnew,
  urlOf,
  waiting,
} from "./queue";

export type Outcome =
  | { readonly state: "saved"; readonly version: number }
  | { readonly state: "kept"; readonly problem: Problem }
  | { readonly state: "refused"; readonly problem: Problem; readonly errors: readonly FieldError[] };

/** The other windows of this device. */
interface Channel {
  readonly tell: () => void;
  /** One window of all at a time. */
  readonly alone: (work: () => Promise<void>) => Promise<void>;
}

/**
 * Every entry is kept first, then sent, one after the other in its treatment. What the record could not take now stays and goes up by
 * itself; what it refuses is given back to whoever is waiting for it, else it stays here with the reason until it is looked at. Windows
 * share what is kept: each changes only the rows that it means, of what is stored at that moment, and any of them may send what another
 * kept; the row then says so until its own window has read it.
 */
export class Outbox {
  private queue: Stored = [];
  private readonly listeners = new Set<() => void>();
  private readonly window = crypto.randomUUID();
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
  readonly snapshot = (): Stored => this.queue;

  /** What this or another window kept. */
  async load(): Promise<void> {
    this.show(await this.device.all());
  }

  /** Keep an entry and try to send it, after all that is kept for its treatment. */
  async write(entry: Omit<NewKept, "version" | "since" | "window">, seen: number): Promise<Outcome> {
    const mine = { ...entry, version: seen, since: this.now(), window: this.window };
    const { id } = await this.device.add((stored) => waiting(stored, mine));
    await this.load();
    this.channel.tell();
    await this.flush();
    return this.takeOutcome(id);
  }

  /** Send what may go, one window at a time. */
  flush(): Promise<void> {
    this.flushing = this.flushing.then(() => this.channel.alone(() => this.sendAll())).catch(() => undefined);
    return this.flushing;
  }

  async drop({ id }: Kept): Promise<void> {
    await this.change((stored) => dropped(stored, id));
    await this.flush();
  }

  /** Try it again now, whatever the record said of it. */
  async again({ id }: Kept): Promise<void> {
    await this.change((stored) => triedAnew(stored, id));
    await this.flush();
  }

  /** Write it after what others wrote meanwhile. */
  async asWell({ id }: Kept): Promise<void> {
    await this.change((stored) => afterTheirs(stored, id));
    await this.flush();
  }

  private async sendAll(): Promise<void> {
    await this.change((stored) => swept(stored, this.now()));
    const tried = new Set<number>();
    for (let entry = nextToSend(this.queue, tried); entry; entry = nextToSend(this.queue, tried)) {
      const { id } = entry;
      tried.add(id);
      const sent = await send<{ version?: number }>("POST", urlOf(entry), requestOf(entry, this.now()));
      if (sent.ok) await this.change((stored) => stands(stored, id, sent.value.version, this.now()));
      else await this.change((stored) => failed(stored, id, sent.problem));
      if (!sent.ok && isAway(sent.problem)) return;
    }
  }

  /** What became of an entry of this window; what is settled is taken out of what is kept. */
  private async takeOutcome(id: number): Promise<Outcome> {
    const stored = await this.device.all();
    const entry = stored.find((each) => each.id === id);
    if (!entry) return refusedWith(DROPPED);
    const { stood, problem = WAITS } = entry;
    if (stood) {
      await this.change((now) => now.filter((each) => each.id !== id));
      return { state: "saved", version: stood.version };
    }
    if (isPassing(problem) || isCollision(problem)) return { state: "kept", problem };
    await this.change((now) => dropped(now, id));
    return refusedWith(problem);
  }

  private async change(edit: (stored: Stored) => Stored): Promise<void> {
    this.show(await this.device.change(edit));
    this.channel.tell();
  }

  private show(stored: Stored): void {
    this.queue = onItsWay(stored);
    for (const listener of this.listeners) listener();
  }
}

const refusedWith = (problem: Problem): Outcome => ({ state: "refused", problem, errors: problem.errors ?? [] });

/** One before it in its treatment waits to be looked at. */
const WAITS: Problem = {
  type: "urn:wanderjahr:problem:waits",
  title: "Waits",
  status: 0,
  detail: "It goes up after what is kept before it.",
};

/** It was taken out of what is kept while its own window waited for it. */
const DROPPED: Problem = {
  type: "urn:wanderjahr:problem:dropped",
  title: "Dropped",
  status: 410,
  detail: "It was dropped in another window of this device before it was saved.",
};
