"use client";
import { useState } from "react";
import type { MatchInput } from "@/core/match/match.schema";
import { plain } from "@/core/units";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { Sign } from "../signs/Sign";

type Asked = Omit<MatchInput, "stance">;
type Flag = Exclude<keyof Asked["service"], "heat_C">;

const FLAGS: ReadonlyArray<readonly [flag: Flag, label: string]> = [
  ["touched", "Handled"],
  ["food", "Food"],
  ["wet", "Washed"],
  ["outdoor", "Outdoors"],
  ["load", "Load"],
  ["flex", "Flexes"],
  ["acoustic", "Sounds"],
  ["skin", "On skin"],
  ["sprung", "Sprung"],
];

interface Figure {
  readonly name: string;
  readonly label: string;
  readonly unit: string;
  readonly limits: readonly [number, number];
  readonly get: (asked: Asked) => number | undefined;
  readonly set: (asked: Asked, value: number | undefined) => Asked;
}

function put<T extends object, K extends keyof T>(object: T, key: K, value: T[K] | undefined): T {
  const { [key]: _, ...rest } = object;
  return (value === undefined ? rest : { ...rest, [key]: value }) as T;
}

const FIGURES: readonly Figure[] = [
  {
    name: "gap_mm",
    label: "Gap",
    unit: "mm",
    limits: [0, 500],
    get: ({ damage }) => damage.gap_mm,
    set: (asked, value) => ({ ...asked, damage: put(asked.damage, "gap_mm", value) }),
  },
  {
    name: "depth_mm",
    label: "Depth",
    unit: "mm",
    limits: [0.001, 500],
    get: ({ damage }) => damage.depth_mm,
    set: (asked, value) => ({ ...asked, damage: put(asked.damage, "depth_mm", value) }),
  },
  {
    name: "heat_C",
    label: "Warmest it gets",
    unit: "°C",
    limits: [-60, 300],
    get: ({ service }) => service.heat_C,
    set: (asked, value) => ({ ...asked, service: put(asked.service, "heat_C", value) }),
  },
  {
    name: "climate_C",
    label: "The room",
    unit: "°C",
    limits: [-60, 60],
    get: ({ climate_C }) => climate_C,
    set: (asked, value) => put(asked, "climate_C", value),
  },
  {
    name: "working_min",
    label: "Assembly takes",
    unit: "min",
    limits: [0, 600],
    get: ({ working_min }) => working_min,
    set: (asked, value) => put(asked, "working_min", value),
  },
];

/** What if it were washed, wider, warmer? Changes the table at once, and never the survey. */
export function WhatIf({
  surveyed,
  asked,
  changed,
  ask,
}: {
  surveyed: Asked;
  asked: Asked;
  changed: boolean;
  ask: (asked: Asked | undefined) => void;
}) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const back = () => {
    setTyped({});
    ask(undefined);
  };
  return (
    <details className="what-if" open={changed || undefined}>
      <summary className="link-btn flex items-center gap-3">
        What if …?
        {changed && <Sign name="soon">Not what the survey says</Sign>}
      </summary>
      <div className="chips pt-1">
        {FLAGS.map(([flag, label]) => (
          <button
            key={flag}
            type="button"
            className="chip"
            aria-pressed={asked.service[flag] === true}
            onClick={() => ask({ ...asked, service: { ...asked.service, [flag]: !asked.service[flag] } })}
          >
            {label}
            {Boolean(asked.service[flag]) !== Boolean(surveyed.service[flag]) && <span className="sub-in">changed</span>}
          </button>
        ))}
        <button
          type="button"
          className="chip"
          aria-pressed={asked.stock_only === true}
          onClick={() => ask({ ...asked, stock_only: !asked.stock_only })}
        >
          Only what is here
        </button>
      </div>
      <div className="what-if-figures">
        {FIGURES.map(({ name, label, unit, limits, get, set }) => {
          const text = typed[name] ?? (get(asked) === undefined ? "" : plain(get(asked) ?? 0, 3));
          const error = errorIn(text, limits, unit);
          return (
            <NumberField
              key={name}
              name={`what-if-${name}`}
              label={label}
              unit={unit}
              value={text}
              error={error}
              onChange={(next) => {
                setTyped({ ...typed, [name]: next });
                if (errorIn(next, limits, unit) !== undefined) return;
                const parsed = parseNumber(next);
                ask(set(asked, parsed.ok ? parsed.value : undefined));
              }}
            />
          );
        })}
        {changed && (
          <button type="button" className="btn" onClick={back}>
            Back to the survey
          </button>
        )}
      </div>
    </details>
  );
}

function errorIn(text: string, [low, high]: readonly [number, number], unit: string): string | undefined {
  if (text.trim() === "") return undefined;
  const parsed = parseNumber(text);
  if (!parsed.ok) return parsed.message;
  return parsed.value < low || parsed.value > high ? `Enter ${low} to ${high} ${unit}.` : undefined;
}
