"use client";
import { STAGE_LABELS } from "@/core/catalogue";
import { standing } from "@/core/cure/windows";
import type { ActName } from "@/core/cure/windows.data";
import type { RunningCure } from "@/core/plan/clocks";
import { formatClock, formatMinutes } from "@/core/units";
import { useNow, useWall } from "../frame/now";
import { Sign, type SignName } from "../signs/Sign";

const SIGNS: Readonly<Record<ReturnType<typeof standing>["state"], SignName>> = { go: "go", closing: "soon", off: "off", never: "never" };

/** A running clock: where it stands, the time left as the big figure, every stage with its time of day. */
export function ClockPanel({ cure, done, temp_C }: { cure: RunningCure; done: readonly ActName[]; temp_C: number }) {
  const now = useNow(1000);
  const wall = useWall();
  const where = standing(cure, new Set(done), now);
  const { word, target, from } = wordsFor(where, cure);
  const used = target === undefined ? 1 : Math.min(1, Math.max(0, (now - from) / Math.max(1, target - from)));
  return (
    <section aria-label={`Clock of ${cure.material}`} className="rule-ash mt-3 pt-2 first:mt-0 first:border-t-0 first:pt-0">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <Sign name={SIGNS[where.state]} size={16} className="text-[16px]">
          {word}
        </Sign>
        <span className="sub">
          {cure.material}, since {wall.when(cure.start, now)}
        </span>
      </div>
      {target !== undefined && (
        <p className="big-figure" role="timer" aria-label={`${word}: ${formatMinutes((target - now) / 60_000)} left`}>
          {target - now < 100 * 60_000 ? formatClock((target - now) / 1000) : formatMinutes((target - now) / 60_000)}
          <small>left</small>
        </p>
      )}
      {target !== undefined && (
        <p className="text-[16px] font-semibold leading-[20px]">
          {where.state === "off" ? `${sentence(where.next.row.verb)} from` : "until"} {wall.when(target, now)}
        </p>
      )}
      <div className="gauge mt-1">
        <i className={SIGNS[where.state]} style={{ width: `${used * 100}%` }} />
      </div>
      <table className="lst mt-2">
        <caption className="sub pb-1 text-left">
          Times at {temp_C.toFixed(1)} °C now, ahead on the last day over again; middle of the makers’ figures, not a promise
        </caption>
        <tbody>
          {cure.stages.map(({ stage, at, reason }) => (
            <tr key={stage}>
              <td>{STAGE_LABELS[stage]}</td>
              <td className="num">
                {at === undefined ? (
                  <Sign name="never" wrap>
                    never: {reason}
                  </Sign>
                ) : (
                  <b>{wall.when(at, now)}</b>
                )}
              </td>
              <td className="num">{at === undefined ? "" : at <= now ? "passed" : `in ${formatMinutes((at - now) / 60_000)}`}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

function wordsFor(where: ReturnType<typeof standing>, cure: RunningCure): { word: string; target?: number; from: number } {
  switch (where.state) {
    case "never":
      return { word: "Does not cure here", from: cure.start };
    case "off":
      return { word: "Don’t touch", target: where.next.from, from: where.since };
    case "go":
    case "closing":
      return {
        word: where.window.row.word,
        from: where.window.from,
        ...(where.window.until === undefined ? {} : { target: where.window.until }),
      };
  }
}
