"use client";
import type { Lab } from "@/core/colour/spectrum";
import { parseColour } from "@/core/colour/words";
import { figure, plain } from "@/core/units";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { Sign } from "../signs/Sign";
import { ColourField, labWords } from "./ColourField";
import { useColourWorker } from "./useColourWorker";

interface Props {
  readonly ground: Lab;
  readonly one: Lab;
  readonly target: Lab;
  readonly planned: number;
  readonly laid: string;
  readonly now: string;
  readonly change: (to: { readonly laid?: string; readonly now?: string }) => void;
}

/** Coats that are laid came out as they came out: what the next ones have to be. */
export function Correction({ ground, one, target, planned, laid, now, change }: Props) {
  const count = parseNumber(laid);
  const many = count.ok && Number.isInteger(count.value) && count.value >= 1 && count.value < planned ? count.value : undefined;
  const read = parseColour(now);
  const left = many === undefined ? undefined : planned - many;
  const { answer } = useColourWorker("corrected", read && left ? [ground, one, read, target, left] : undefined);
  return (
    <section aria-label="As it came out" className="pt-3">
      <h3>As it came out</h3>
      <div className="strip-fields">
        <NumberField
          name="strip_laid"
          label="Coats laid"
          unit={`of ${planned}`}
          value={laid}
          onChange={(text) => change({ laid: text })}
          error={laid.trim() === "" || many !== undefined ? undefined : `Enter 1 to ${planned - 1}: the last can’t be corrected any more.`}
        />
        <ColourField label="It reads now, dry" note="the last coat, dry" value={now} onChange={(text) => change({ now: text })} />
        {answer && many !== undefined && left !== undefined && (
          <div className="col-span-2" aria-live="polite">
            {answer.past ? (
              <Sign name="never" wrap>
                It is darker than the colour to meet already, and transparent coats only go on. Rub it back to the clear coat under it, or
                lay a thin opaque coat in dots.
              </Sign>
            ) : (
              <p className="text-read leading-[22px]">
                Coat {many + 1}
                {left > 1 ? ` to ${planned}` : ""} at <b>{plain(answer.pct, 0)} %</b> of the draw-down’s strength: it ends{" "}
                <b>{figure(answer.dE00, 1)}</b> dE00 off, at {labWords(answer.lab)}.
              </p>
            )}
          </div>
        )}
      </div>
    </section>
  );
}
