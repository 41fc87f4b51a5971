import type { Station } from "../catalogue";
import { present } from "../units";
import { type ActState, actState, byUrgency } from "./actState";
import { isInHand, leadOf } from "./chain";

/** "Trim with a blade", why, and for how long hands are on it. */
export interface Words {
  readonly title: string;
  readonly why: string;
  readonly hands_min: number;
}

/** An operation that nothing blocks, with its times: plain data, so that a page can go on reckoning by itself. Ms since the epoch. */
export interface BriefAct extends Words {
  readonly op: string;
  readonly station: Station;
  /** Damages that it is for, numbered on the condition map. */
  readonly tokens: readonly number[];
  readonly from?: number;
  readonly until?: number;
  readonly since?: number;
  readonly never?: string;
  /** Hands at it and at all that must follow at once, min. */
  readonly chain_min: number;
  /** It follows at once on what was begun. */
  readonly in_hand?: true;
  /** What is touched or spoilt: said while it is too early. */
  readonly hands_off: string;
  readonly material?: string;
}

/** All that the next act of a treatment depends on but the time. */
export interface ActBrief {
  readonly closed: boolean;
  readonly station: Station;
  readonly idle: Words;
  readonly acts: readonly BriefAct[];
  /** It can't be worked out; its own page says why, and no other page suffers. */
  readonly broken?: string;
  /** The entry since which it can't: taken back, it can. */
  readonly broken_by?: { readonly entry: string; readonly seq: number };
}

/** What to do next at a treatment: the act, why, and when. */
export interface NextAct extends Words {
  readonly state: ActState | "closed";
  readonly station: Station;
  readonly op?: string;
  readonly tokens: readonly number[];
  readonly from?: number;
  readonly until?: number;
  readonly since?: number;
  readonly material?: string;
}

const LAST_MS = 60_000;

/** Windows that close within the minute: what is mixed is about to set. */
export function lastMinuteAt({ closed, acts }: ActBrief, now: number): BriefAct[] {
  if (closed) return [];
  return acts.filter(
    ({ from = 0, until, never }) => never === undefined && until !== undefined && from <= now && now < until && until - now <= LAST_MS,
  );
}

/** What may not be touched yet: one act for each clock and time, by when it may. */
export function waitsAt({ closed, acts }: ActBrief, now: number): BriefAct[] {
  if (closed) return [];
  const off = acts.filter((act) => actState(act, now) === "too-early").sort((a, b) => (a.from ?? 0) - (b.from ?? 0));
  return off.filter((act, i) => off.findIndex(({ from, material }) => from === act.from && material === act.material) === i);
}

/** The next act at `now`: a closing window first, then an open one by its end, then what has no limit in order, then what opens first. */
export function actAt({ closed, station, idle, acts, broken }: ActBrief, now: number): NextAct {
  if (closed) return { state: "closed", station: "close", tokens: [], ...idle };
  if (broken !== undefined) return { state: "never", station, tokens: [], title: "Can’t be worked out", why: broken, hands_min: 5 };
  const ranked = acts.map((act): Ranked => ({ act, ...act, state: actState(act, now) })).sort(byUrgency);
  const first = ranked.find(isInHand) ?? ranked[0];
  const pressing = first && (first.state === "closing" || first.state === "never");
  if (!first || (CHOOSING.includes(station) && !pressing)) return { state: "now", station, tokens: [], ...idle };
  const lead = leadOf(first, ranked, now);
  return lead === first ? nextOf(first) : { ...nextOf(lead), why: lead.state === "too-early" ? HELD : lead.act.why };
}

const HELD = "Wait for it: what else is open would run past its window.";

interface Ranked extends Pick<BriefAct, "from" | "until" | "chain_min" | "in_hand"> {
  readonly act: BriefAct;
  readonly state: ActState;
}

/** What has to be decided before hands go on, unless a window is closing. */
const CHOOSING: readonly Station[] = ["survey", "match"];

function nextOf({ act, state }: Ranked): NextAct {
  const { title, hands_min, op, tokens, station, material, since } = act;
  const open = state === "too-late" ? {} : present({ from: act.from, until: act.until });
  const shared = { station, op, tokens, hands_min, state, ...open, ...present({ since, material }) };
  if (state === "never") return { ...shared, title: "It does not cure here", why: act.never ?? "" };
  if (state === "too-late") return { ...shared, title, why: "Its window has closed: look, and say why at its station." };
  return { ...shared, title, why: state === "too-early" ? act.hands_off : act.why };
}
