import type { Reading } from "@/core/mix/weighing";
import type { Scale, ScaleEvent } from "./scale";

/** What can be done to the stand-in from its own small panel. */
export interface Hands {
  /** Grams a second, until it is set to 0. */
  pour(rate_g_s: number): void;
  fault(fault: Fault | undefined): void;
}

export type Fault = "cable" | "rubbish" | "pounds";

/** What lies in the pan, what it read when it was tared, and how far its zero has wandered; grams. */
export interface Pan {
  readonly load: number;
  readonly tared: number;
  readonly drift: number;
  /** What is in the air between the jar and the cup: it falls on after the hand has stopped. */
  readonly falling: number;
}

export const EMPTY: Pan = { load: 0, tared: 0, drift: 0, falling: 0 };

/** How much of a stream is still falling, s. */
const FALL_S = 0.35;
/** The zero wanders by so much a minute, g, and the pan trembles by so many steps. */
const DRIFT_G_MIN = 0.002;
const TREMBLE_STEPS = 0.3;

/** The pan after `dt` seconds of pouring at a rate; `random` 0 to 1. */
export function poured({ load, tared, drift, falling }: Pan, rate_g_s: number, dt: number, random: number): Pan {
  const lands = falling * Math.min(1, dt / FALL_S);
  return {
    load: load + lands,
    tared,
    drift: drift + ((random - 0.5) * 2 * DRIFT_G_MIN * dt) / 60,
    falling: falling - lands + rate_g_s * dt,
  };
}

export const tared = (pan: Pan): Pan => ({ ...pan, tared: pan.load + pan.drift });

/** What the read-out shows; it trembles, more while something falls. */
export function shown({ load, tared: zero, drift, falling }: Pan, step_g: number, random: number): Reading {
  const moving = falling > step_g / 2;
  const tremble = (random - 0.5) * 2 * step_g * (moving ? 3 : TREMBLE_STEPS);
  return { g: Math.round((load + drift - zero + tremble) / step_g) * step_g, stable: !moving };
}

const TICK_MS = 100;

/** A scale that stands nowhere: for trying, for learning, and for tests. */
export function simulatedScale(step_g: number, random: () => number = Math.random): Scale & Hands {
  let pan = EMPTY;
  let rate = 0;
  let fault: Fault | undefined;
  const event = (): ScaleEvent | undefined => {
    if (fault === "cable") return { kind: "lost" };
    if (fault === "rubbish") return { kind: "trouble", words: "The scale sends something that is no weight. Look at its baud rate." };
    if (fault === "pounds") return { kind: "trouble", words: "The scale sends lb: set it to grams." };
    return { kind: "reading", ...shown(pan, step_g, random()) };
  };
  return {
    name: "simulated scale",
    open: async (tell) => {
      const tick = setInterval(() => {
        pan = poured(pan, rate, TICK_MS / 1000, random());
        const told = event();
        if (told) tell(told);
      }, TICK_MS);
      return () => clearInterval(tick);
    },
    tare: () => {
      pan = tared(pan);
    },
    pour: (to) => {
      rate = to;
    },
    fault: (to) => {
      fault = to;
    },
  };
}
