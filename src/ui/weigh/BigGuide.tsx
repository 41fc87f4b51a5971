"use client";
import { useEffect, useRef } from "react";
import type { Guide } from "@/core/mix/weighing";
import { figure } from "@/core/units";
import { useShop } from "../frame/now";
import { sound } from "../frame/Tones";
import { Sign, type SignName } from "../signs/Sign";

const WORDS: Readonly<Record<Guide["state"], readonly [sign: SignName, word: string, of: string]>> = {
  under: ["to-come", "Pour", "g to go"],
  near: ["soon", "Slowly, drop by drop", "g to go"],
  there: ["done", "Stop", "g off"],
  over: ["never", "Over", "g too much"],
};

/** Hz and s: slower, stop, over. */
const TONES: Readonly<Record<Guide["state"], readonly (readonly [number, number])[]>> = {
  under: [],
  near: [[523, 0]],
  there: [
    [784, 0],
    [784, 0.16],
  ],
  over: [
    [330, 0],
    [262, 0.18],
  ],
};

/** How much is still to go, in figures that are read from a step away; the word and the sign say the same. */
export function BigGuide({ state, left_g, target_g }: Guide & { target_g: number }) {
  const { sounds } = useShop();
  const before = useRef(state);
  useEffect(() => {
    if (before.current !== state && sounds) sound(TONES[state]);
    before.current = state;
  }, [state, sounds]);
  const [sign, word, of] = WORDS[state];
  return (
    <div className={`weigh-guide ${state}`}>
      <Sign name={sign} size={22} className="text-title">
        {word}
      </Sign>
      <p className="weigh-left">
        {figure(Math.abs(left_g), 2)} <small>{of}</small>
      </p>
      <div className="gauge" aria-hidden="true">
        <i
          className={state === "over" ? "never" : "go"}
          style={{ width: `${Math.min(100, Math.max(0, (1 - left_g / target_g) * 100))}%` }}
        />
      </div>
    </div>
  );
}
