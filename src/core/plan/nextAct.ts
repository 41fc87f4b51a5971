import { gradeLabel, type Station } from "../catalogue";
import { standing } from "../cure/windows";
import type { ActName } from "../cure/windows.data";
import { walk } from "../level/walk";
import { actsDone, type Clock, materialTaken, STATION_ORDER, stepKey, type Treatment } from "../record/treatment";
import { inSentence } from "../units";
import type { RunningCure } from "./clocks";
import type { Plan } from "./plan";
import { PLANNED_MIN } from "./planned.data";

/** What to do next at a treatment: the act, why, and when. Times in ms since the epoch. */
export interface NextAct extends Words {
  readonly state: "go" | "closing" | "off" | "never" | "closed";
  readonly station: Station;
  /** Open window: since when. Waiting: from when. */
  readonly from?: number;
  readonly until?: number;
}

/** "Trim layer 1", why, and for how long hands are on it. */
export interface Words {
  readonly title: string;
  readonly why: string;
  readonly hands_min: number;
}

/** All that the next act depends on but the time: plain data, so that a page can go on reckoning by itself. */
export interface ActBrief {
  readonly closed: boolean;
  readonly station: Station;
  readonly idle: Words;
  readonly clock?: {
    readonly station: Station;
    readonly cure: RunningCure;
    readonly done: readonly ActName[];
    readonly words: Readonly<Record<ActName, Words>>;
  };
}

/** The clock that still rules a treatment: its last one, as long as its station is open and nothing followed. */
export function rulingClock(treatment: Treatment): Clock | undefined {
  const clock = treatment.clocks.at(-1);
  if (clock === undefined || treatment.closed) return undefined;
  return treatment.stations[CLOCK_STATION[clock.body.kind]] === undefined ? clock : undefined;
}

export const CLOCK_STATION = { mixed: "fill", clamped: "join", coated: "colour" } as const satisfies Record<Clock["body"]["kind"], Station>;

/** The station where the treatment stands: the first that is needed and not yet behind. */
export function currentStation(treatment: Treatment, plan: Plan | undefined): Station {
  const open = STATION_ORDER.find(
    (station) => treatment.stations[station] === undefined && (plan === undefined || plan.stations[station].needed),
  );
  return open ?? "close";
}

/** Settle everything but the time. `cure` is the ruling clock with its times, where there is one. */
export function briefOf(treatment: Treatment, plan: Plan | undefined, cure: RunningCure | undefined): ActBrief {
  const station = currentStation(treatment, plan);
  const idle = ACTS[station](treatment, plan);
  const clock = rulingClock(treatment);
  return {
    closed: treatment.closed !== undefined,
    station,
    idle,
    ...(clock && cure
      ? {
          clock: {
            station: CLOCK_STATION[clock.body.kind],
            cure,
            done: [...actsDone(treatment, clock)],
            words: clockWords(clock, treatment, plan),
          },
        }
      : {}),
  };
}

/** The next act at `now`, in ms since the epoch. */
export function actAt({ closed, station, idle, clock }: ActBrief, now: number): NextAct {
  if (closed) return { state: "closed", station: "close", title: "Closed", why: "", hands_min: 0 };
  if (clock === undefined) return { state: "go", station, ...idle };
  const where = standing(clock.cure, new Set(clock.done), now);
  if (where.state === "never")
    return { state: "never", station: clock.station, title: "It does not cure here", why: where.reason, hands_min: 5 };
  const { row, from, until } = where.state === "off" ? where.next : where.window;
  const words = clock.words[row.act];
  return {
    state: where.state,
    station: clock.station,
    ...words,
    ...(where.state === "off" ? { why: WAITING[clock.cure.kind] } : {}),
    from,
    ...(until === undefined ? {} : { until }),
  };
}

const WAITING: Readonly<Record<Clock["body"]["kind"], string>> = {
  mixed: "The fill is still setting. Don’t press it.",
  clamped: "The joint is gaining strength. Don’t shift the clamps.",
  coated: "The coat is still soft. Keep dust and fingers off.",
};

function clockWords({ body }: Clock, treatment: Treatment, plan: Plan | undefined): Record<ActName, Words> {
  const material = inSentence(materialTaken(body).name);
  return {
    place: { title: `Place layer ${body.layer}`, why: `After that the ${material} drags and tears.`, hands_min: PLANNED_MIN.layer },
    trim: {
      title: `Trim layer ${body.layer}`,
      why: "It cuts like soap now; later it costs an hour of sanding.",
      hands_min: PLANNED_MIN.trim,
    },
    "next-layer": ACTS.fill(treatment, plan),
    seat: { title: "Check the marks", why: "Joints slide while the glue is wet.", hands_min: 2 },
    unclamp: { title: "Take the clamps off", why: "Handling strength is reached.", hands_min: 5 },
    "next-coat": ACTS.colour(treatment, plan),
  };
}

/** What is next at a station when no clock rules it; complete by type. */
const ACTS: { readonly [S in Station]: (treatment: Treatment, plan: Plan | undefined) => Words } = {
  survey: () => ({ title: "Survey the damage", why: "Look and measure before anything is touched.", hands_min: PLANNED_MIN.survey }),
  match: () => ({ title: "Choose the materials", why: "The survey is done: see what fits and why.", hands_min: PLANNED_MIN.match }),
  ready: (treatment, plan) =>
    stepWords("ready", treatment, plan) ?? { title: "Leave Make ready", why: "Every step is done.", hands_min: 1 },
  join: (treatment, plan) => stepWords("join", treatment, plan) ?? { title: "Leave Join", why: "The joint is made.", hands_min: 1 },
  fill: (treatment, plan) => fillWords(treatment, plan),
  level: (treatment, plan) => levelWords(treatment, plan),
  colour: (treatment, plan) => colourWords(treatment, plan),
  close: () => ({ title: "Look it over and sign", why: "In the light it will live in.", hands_min: PLANNED_MIN.close }),
};

function stepWords(station: Station, treatment: Treatment, plan: Plan | undefined): Words | undefined {
  const step = plan?.stations[station].steps.find(({ step: name }) => treatment.steps[stepKey(station, name)] === undefined);
  return step && { title: step.text, why: step.why, hands_min: step.hands_min };
}

function fillWords(treatment: Treatment, plan: Plan | undefined): Words {
  const laid = layersLaid(treatment);
  const count = plan?.fill?.count ?? 1;
  if (laid >= count) return { title: "Leave Fill", why: "The last layer is hard: check for low spots, then level.", hands_min: 2 };
  return {
    title: `Mix and lay layer ${laid + 1}`,
    why: laid === 0 ? "The loss is clean and keyed." : `Layer ${laid} is hard.`,
    hands_min: PLANNED_MIN.layer,
  };
}

function levelWords(treatment: Treatment, plan: Plan | undefined): Words {
  if (plan?.ladder === undefined) return { title: "Level it", why: "", hands_min: PLANNED_MIN.grit };
  const { now } = walk(plan.ladder.from, plan.ladder.to, treatment.level);
  if (now === undefined) return { title: "Leave Level", why: "Every grit is walked.", hands_min: 1 };
  return {
    title: `Sand with ${gradeLabel(now.grade)}`,
    why: "Until the scratches of the grade before are gone.",
    hands_min: PLANNED_MIN.grit,
  };
}

function colourWords(treatment: Treatment, plan: Plan | undefined): Words {
  const laid = coatsLaid(treatment);
  const coat = plan?.coats[laid];
  if (laid === 0) {
    const step = stepWords("colour", treatment, plan);
    if (step && treatment.steps[stepKey("colour", "dust")] === undefined) return step;
  }
  if (coat === undefined)
    return stepWords("colour", treatment, plan) ?? { title: "Leave Colour", why: "The last coat is on and dry.", hands_min: 1 };
  return {
    title: `Lay coat ${coat.coat}, ${inSentence(coat.material.name)}`,
    why: laid === 0 ? "The surface is level and clean." : `Coat ${laid} is dry.`,
    hands_min: PLANNED_MIN.coat,
  };
}

/** How many layers have been mixed for the fill. */
export function layersLaid({ clocks }: Treatment): number {
  return Math.max(0, ...clocks.filter(({ body }) => body.kind === "mixed").map(({ body }) => body.layer));
}

export function coatsLaid({ clocks }: Treatment): number {
  return Math.max(0, ...clocks.filter(({ body }) => body.kind === "coated").map(({ body }) => body.layer));
}
