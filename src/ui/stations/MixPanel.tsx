"use client";
import { useState } from "react";
import { WASTE_PCT } from "@/core/catalogue";
import { APPLY_CM3_PER_MIN, batchFor, checkWeights, RATIO_TOLERANCE_PCT } from "@/core/plan/batch";
import type { RunningCure } from "@/core/plan/clocks";
import type { LayerRow } from "@/core/plan/layerRows";
import type { FillPlan } from "@/core/plan/plan";
import { PLANNED_MIN } from "@/core/plan/planned.data";
import { figure, formatMinutes, plain } from "@/core/units";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import type { Air } from "../frame/climate";
import { useNow, useWall } from "../frame/now";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { Balls } from "./Balls";
import { StartControl } from "./StartControl";

interface Props {
  readonly fill: FillPlan;
  readonly layer: LayerRow;
  /** The layer below, while it sets. */
  readonly running: RunningCure | undefined;
  readonly hardAt: number | undefined;
  readonly air: Air;
}

/** The batch for one layer: volume, parts in grams and as balls, batches by pot life; "mixed now" starts the clock. */
export function MixPanel({ fill, layer, running, hardAt, air }: Props) {
  const now = useNow();
  const log = useLog();
  const [waste, setWaste] = useState(String(WASTE_PCT));
  const [grams, setGrams] = useState<Record<string, string>>({});
  const wastePct = parseNumber(waste);
  const wasteOk = wastePct.ok && wastePct.value >= 0 && wastePct.value <= 500;
  const batch = batchFor(fill, wasteOk ? wastePct.value : WASTE_PCT, air.temp_C);
  const weighed = readWeights(batch.parts, grams);
  const waiting = running !== undefined && (hardAt === undefined || hardAt > now);
  const start = (minutes_ago: number) => {
    const parts = batch.parts.map(({ name, mass_g }, i) => ({ name, planned_g: mass_g, actual_g: weighed.values[i] ?? mass_g }));
    const climate = { temp_C: air.temp_C, rh_pct: air.rh_pct };
    const body = {
      kind: "mixed",
      ...fill.taken,
      layer: layer.layer,
      thickness_mm: layer.applied_mm,
      parts,
      climate,
      hands_min: PLANNED_MIN.layer,
    } as const;
    void log.write(body, { minutes_ago });
  };
  return (
    <section aria-label={`Batch for layer ${layer.layer}`} className="rule-ash mt-3 pt-2 first:mt-0 first:border-t-0 first:pt-0">
      <h2 className="flex items-baseline justify-between">
        Batch for layer {layer.layer} <span className="sub">at {figure(batch.density, 2)} g/cm³</span>
      </h2>
      <dl className="kv mt-1">
        <dt>
          {plain(layer.applied_mm)} mm thick, {fill.count === 1 ? "one layer" : `layer ${layer.layer} of ${fill.count}`}, proud{" "}
          {plain(fill.proud_mm)} mm
        </dt>
        <dd>{figure(batch.need_cm3, 2)} cm³</dd>
        <dt>Waste on slab and gloves</dt>
        <dd>+ {figure(batch.total_cm3 - batch.need_cm3, 2)} cm³</dd>
        <dt className="tot">{figure(batch.total_g, 2)} g</dt>
        <dd className="tot">{figure(batch.total_cm3, 2)} cm³</dd>
      </dl>
      <details open={!waiting} className="group grid gap-2">
        <summary className={waiting ? "link-btn flex items-center" : "hidden"}>
          <span className="group-open:hidden">Show the parts to weigh</span>
          <span className="hidden group-open:inline">Fold the parts away</span>
        </summary>
        <Balls parts={batch.parts} />
        <div className="grid gap-2">
          {batch.parts.map(({ name, mass_g }) => (
            <NumberField
              key={name}
              name={`weigh-${name}`}
              label={`${partLabel(name)}: ${figure(mass_g, 2)} g. Weighed`}
              unit="g"
              value={grams[name] ?? ""}
              onChange={(text) => setGrams({ ...grams, [name]: text })}
              error={weighed.errors[name]}
            />
          ))}
          <RatioCheck fill={fill} weights={weighed.values} />
          {batch.warnings.map(({ code, message }) => (
            <Sign key={code} name="soon" wrap>
              {message}
            </Sign>
          ))}
          <NumberField
            name="waste"
            label="Waste reckoned with"
            unit="%"
            value={waste}
            onChange={setWaste}
            error={wasteOk ? undefined : "Enter 0 to 500 %."}
          />
        </div>
        <dl className="kv mt-1">
          <dt>Workable at {plain(air.temp_C)} °C, once mixed</dt>
          <dd>{batch.pot_life_min === undefined ? "–" : formatMinutes(Math.max(1, batch.pot_life_min))}</dd>
          <dt>Batches, at {APPLY_CM3_PER_MIN} cm³ a minute</dt>
          <dd>{batch.batches.length === 1 ? "1" : `${batch.batches.length} of ${figure(batch.batches[0]?.total_g ?? 0, 2)} g`}</dd>
        </dl>
        <p className="sub pb-2">{fill.material.mix.cue}</p>
      </details>
      {waiting ? (
        <NotYet layer={running.layer} hardAt={hardAt} busy={log.busy} onStart={() => start(0)} />
      ) : (
        <StartControl label={startLabel(weighed, layer.layer)} disabled={log.busy || !weighed.ok} onStart={start} />
      )}
    </section>
  );
}

/** The layer below is not hard by the clock; a restorer may judge by thumbnail that it is. */
function NotYet({ layer, hardAt, busy, onStart }: { layer: number; hardAt: number | undefined; busy: boolean; onStart: () => void }) {
  const now = useNow();
  const wall = useWall();
  return (
    <>
      <button type="button" className="btn big w-full" disabled>
        {hardAt === undefined ? `Layer ${layer} does not set here` : `Not yet: layer ${layer} is hard ${wall.when(hardAt, now)}`}
      </button>
      <button type="button" className="link-btn" onClick={onStart} disabled={busy}>
        The thumbnail says it is hard: mixed the next now
      </button>
    </>
  );
}

/** Parts that are called by a letter: "Part A"; others by their name. */
function partLabel(name: string): string {
  return name.length === 1 ? `Part ${name}` : name;
}

interface Weights {
  readonly ok: boolean;
  readonly values: ReadonlyArray<number | undefined>;
  readonly errors: Readonly<Record<string, string>>;
}

function readWeights(parts: ReadonlyArray<{ name: string }>, grams: Readonly<Record<string, string>>): Weights {
  const errors: Record<string, string> = {};
  const values = parts.map(({ name }) => {
    const text = grams[name] ?? "";
    if (text.trim() === "") return undefined;
    const parsed = parseNumber(text);
    if (!parsed.ok) errors[name] = parsed.message;
    else if (parsed.value <= 0 || parsed.value > 100_000) errors[name] = "Enter the grams on the scale, above zero.";
    else return parsed.value;
    return undefined;
  });
  return { ok: Object.keys(errors).length === 0, values, errors };
}

function startLabel({ values, ok }: Weights, layer: number): string {
  if (!ok) return "Correct the weights first";
  return values.every((value) => value !== undefined) ? `Mixed layer ${layer} now` : `Mixed layer ${layer} now, as planned`;
}

/** What to add when one part ran over: never take away. */
function RatioCheck({ fill, weights }: { fill: FillPlan; weights: Weights["values"] }) {
  const check = checkWeights(fill.material, weights);
  if (!check) return null;
  const add = check.add.map(({ name, mass_g }) => `${figure(mass_g, 2)} g of ${name}`).join(", ");
  if (!check.within_tolerance)
    return (
      <Sign name="never" wrap>
        {figure(check.error_pct, 0)} % off: add {add}
      </Sign>
    );
  return (
    <Sign name="go">
      Ratio right within {RATIO_TOLERANCE_PCT} %{check.error_pct > 0.05 ? `, ${figure(check.error_pct, 1)} % off` : ""}
    </Sign>
  );
}
