import { classRow, stationLabel } from "../catalogue";
import { STATION_ORDER, type Treatment } from "../record/treatment";
import { minutesAtIt } from "./actState";
import { type Act, actsOf } from "./acts";
import type { ActBrief, BriefAct, Words } from "./brief";
import { chainOf, followsAtOnce } from "./chain";
import type { Worked } from "./worked";

const SURVEY: Words = { title: "Survey the damage", why: "Look and measure before anything is touched.", hands_min: 15 };
const MATCH: Words = { title: "Choose the materials", why: "The survey is done: see what fits and why.", hands_min: 10 };
const CLOSED: Words = { title: "Closed", why: "", hands_min: 0 };

/** Settle everything but the time. */
export function briefOf(treatment: Treatment, worked: Worked | undefined, now: number): ActBrief {
  if (treatment.closed) return { closed: true, station: "close", idle: CLOSED, acts: [] };
  if (treatment.damages.length === 0) return { closed: false, station: "survey", idle: SURVEY, acts: [] };
  const numbers = new Map(treatment.damages.map(({ id }, i) => [id, i + 1]));
  const acts = worked ? frontier(worked, numbers, now) : [];
  if (!treatment.settled) return { closed: false, station: "match", idle: MATCH, acts };
  const open = worked?.repair.operations.filter(({ id }) => !worked.marks.has(id)) ?? [];
  const station = STATION_ORDER.find((each) => open.some((operation) => operation.station === each)) ?? "close";
  return {
    closed: false,
    station,
    idle: { title: `Look at ${stationLabel(station)}`, why: "Everything else waits for something.", hands_min: 5 },
    acts,
  };
}

function frontier(worked: Worked, numbers: ReadonlyMap<string, number>, now: number): BriefAct[] {
  const chain = chainOf(worked.repair.operations.filter(({ id }) => !worked.marks.has(id)));
  return actsOf(worked, now)
    .filter(({ state }) => state === "now" || state === "too-early" || state === "too-late" || state === "never")
    .map((act) => briefAct(act, worked, numbers, chain(act.op.id)))
    .flatMap((act) => [...cupInHand(act, worked, now), act]);
}

/** A cup of several that was mixed is used up before the next: it has its own window. */
function cupInHand(act: BriefAct, { repair, batches }: Worked, now: number): BriefAct[] {
  const cups = batches.get(act.op) ?? [];
  const { at, until } = cups.at(-1) ?? {};
  if (at === undefined || until === undefined || until <= now) return [];
  const mix = repair.operations.find(({ id }) => id === act.op);
  const of = Math.max(mix?.batches ?? 1, cups.length + 1);
  const title = `Use up batch ${cups.length} of ${of}`;
  const words = { title, why: "It is mixed and sets; then mix the next." };
  return [{ ...act, ...words, ...(mix?.class ? { material: classRow(mix.class).name } : {}), from: at, since: at, until }];
}

function briefAct(
  { op, from, until, since, clock, state, because, consequence }: Act,
  worked: Worked,
  numbers: ReadonlyMap<string, number>,
  chain_min: number,
): BriefAct {
  const tokens = op.damages.flatMap((damage) => numbers.get(damage) ?? []).sort((a, b) => a - b);
  const material = clock ? worked.clocks.get(clock)?.material : undefined;
  return {
    op: op.id,
    station: op.station,
    title: op.title,
    why: op.why,
    hands_min: minutesAtIt(op.hands_min),
    chain_min,
    ...followsAtOnce(op),
    tokens,
    ...(from === undefined ? {} : { from }),
    ...(until === undefined ? {} : { until }),
    ...(since === undefined ? {} : { since }),
    ...(state === "never" ? { never: because } : {}),
    hands_off: consequence ?? "",
    ...(material ? { material } : {}),
  };
}
