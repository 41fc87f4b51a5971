"use client";
import { useState } from "react";
import { type MaterialClass, middle } from "@/core/catalogue";
import { rate } from "@/core/cure/rate";
import { massShares, mix } from "@/core/mix/mix";
import { rescue } from "@/core/mix/rescue";
import type { RunningCure } from "@/core/plan/clocks";
import type { FillPlan } from "@/core/plan/plan";
import { figure, formatMinutes, plain } from "@/core/units";
import type { Air } from "../frame/climate";
import { useNow, useWall } from "../frame/now";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { Balls } from "./Balls";
import type { LayerRow } from "./LayerTable";
import { StartControl } from "./StartControl";

interface Props {
  readonly fill: FillPlan;
  readonly row: MaterialClass;
  readonly layer: LayerRow;
  readonly running: RunningCure | undefined;
  readonly hardAt: number | undefined;
  readonly air: Air;
}

/** What stays on slab, gloves and knife, as a share of the batch: trade practice for small batches. */
const WASTE_PCT = 35;
const SCALE_STEP_G = 0.01;
const APPLY_CM3_PER_MIN = 0.5;
const TOLERANCE_PCT = 5;

/** The batch for one layer: volume, parts in grams and as balls, batches by pot life; "mixed now" starts the clock. */
export function MixPanel({ fill, row, layer, running, hardAt, air }: Props) {
  const now = useNow();
  const wall = useWall();
  const log = useLog();
  const [waste, setWaste] = useState(String(WASTE_PCT));
  const [grams, setGrams] = useState<Record<string, string>>({});
  const wastePct = parseNumber(waste);
  const wasteOk = wastePct.ok && wastePct.value >= 0 && wastePct.value <= 500;
  const need = needOf(fill, layer);
  const potLife = potLifeAt(row, air.temp_C);
  const batch = mix({
    need_cm3: need,
    waste_pct: wasteOk ? wastePct.value : WASTE_PCT,
    parts: [...row.mix.parts],
    ratio_by: row.mix.ratio_by,
    ...(row.mix.mixed_density === undefined ? {} : { mixed_density: row.mix.mixed_density }),
    scale_step_g: SCALE_STEP_G,
    ...(potLife === undefined ? {} : { pot_life_min: potLife, apply_cm3_per_min: APPLY_CM3_PER_MIN }),
  });
  const weighed = readWeights(batch.parts, grams);
  const waiting = running !== undefined && (hardAt === undefined || hardAt > now);
  const start = (minutes_ago: number) => {
    const parts = batch.parts.map(({ name, mass_g }, i) => ({ name, planned_g: mass_g, actual_g: weighed.values[i] ?? mass_g }));
    void log.write({ kind: "mixed", class: row.class, layer: layer.layer, thickness_mm: layer.applied_mm, parts, climate: { temp_C: air.temp_C, rh_pct: air.rh_pct }, hands_min: 15 }, { minutes_ago });
  };
  return (
    <section aria-label={`Batch for layer ${layer.layer}`} className="rule-ash mt-3 pt-2 first:mt-0 first:border-t-0 first:pt-0">
      <h2 className="flex items-baseline justify-between">
        Batch for layer {layer.layer} <span className="sub">at {figure(batch.density, 2)} g/cm³</span>
      </h2>
      <dl className="kv mt-1">
        <dt>
          {plain(layer.applied_mm)} of {plain(fill.layers.reduce((sum, { applied_mm }) => sum + applied_mm, 0))} mm, proud {plain(fill.proud_mm)} mm
        </dt>
        <dd>{figure(need, 2)} cm³</dd>
        <dt>Waste on slab and gloves</dt>
        <dd>+ {figure(batch.total_cm3 - need, 2)} cm³</dd>
        <dt className="tot">{figure(batch.total_g, 2)} g</dt>
        <dd className="tot">{figure(batch.total_cm3, 2)} cm³</dd>
      </dl>
      <div className="mt-2">
        <NumberField name="waste" label="Waste reckoned with" unit="%" value={waste} onChange={setWaste} error={wasteOk ? undefined : "Enter 0 to 500 %."} />
      </div>
      <Balls parts={batch.parts} />
      <div className="grid gap-1">
        {batch.parts.map(({ name, mass_g }) => (
          <NumberField key={name} name={`weigh-${name}`} label={`${partLabel(name, batch.parts.length)}, ${figure(mass_g, 2)} g planned; weighed`} unit="g" value={grams[name] ?? ""} onChange={(text) => setGrams({ ...grams, [name]: text })} error={weighed.errors[name]} />
        ))}
      </div>
      <RatioCheck parts={batch.parts} shares={massShares({ parts: [...row.mix.parts], ratio_by: row.mix.ratio_by })} weights={weighed.values} />
      {batch.warnings.map(({ code, message }) => (
        <Sign key={code} name="soon" className="!whitespace-normal">
          {message}
        </Sign>
      ))}
      <dl className="kv mt-2">
        <dt>
          Workable at {plain(air.temp_C)} °C, from the moment of mixing
        </dt>
        <dd>{potLife === undefined ? "–" : formatMinutes(Math.max(1, potLife))}</dd>
        <dt>Batches, at {APPLY_CM3_PER_MIN} cm³ a minute</dt>
        <dd>{batch.batches.length === 1 ? "1" : `${batch.batches.length} of ${figure(batch.batches[0]?.total_g ?? 0, 2)} g`}</dd>
      </dl>
      <p className="sub pb-2">{row.mix.cue}</p>
      {waiting ? (
        <button type="button" className="btn big w-full" disabled>
          {hardAt === undefined ? `Layer ${running.layer} does not set here` : `Not yet: layer ${running.layer} is hard ${wall.when(hardAt, now)}`}
        </button>
      ) : (
        <StartControl label={startLabel(weighed, layer.layer)} disabled={log.busy || !weighed.ok} onStart={start} />
      )}
      {waiting && <EarlyStart onStart={() => start(0)} busy={log.busy} />}
    </section>
  );
}

/** A restorer may judge by thumbnail that it is hard before the clock does. */
function EarlyStart({ onStart, busy }: { onStart: () => void; busy: boolean }) {
  return (
    <button type="button" className="link-btn" onClick={onStart} disabled={busy}>
      The thumbnail says it is hard: mixed the next now
    </button>
  );
}

function partLabel(name: string, count: number): string {
  return count === 1 ? name : `Part ${name}`.replace(/^Part (.{2,})$/, "$1");
}

/** The share of the whole loss that this layer takes, with what stands proud on the last. */
function needOf(fill: FillPlan, layer: LayerRow): number {
  const proud = (fill.loss.opening_mm2 * fill.proud_mm) / 1000;
  const shrunk = 1 - fill.shrinkage_pct / 100;
  return (fill.loss.volume_cm3 + proud) / shrunk / fill.count || layer.applied_mm * 1e-3;
}

function potLifeAt(row: MaterialClass, temp_C: number): number | undefined {
  const working = row.cure.stages.find(({ stage }) => stage === "working");
  if (!working) return undefined;
  return middle(working.minutes) / rate(temp_C, row.cure.reference_C, { kind: "arrhenius", ea_kJ_mol: row.cure.ea_kJ_mol });
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

/** What to add when one part ran over: never take away, and whether it is worth it. */
function RatioCheck({ parts, shares, weights }: { parts: ReadonlyArray<{ name: string }>; shares: readonly number[]; weights: Weights["values"] }) {
  if (parts.length < 2 || weights.some((value) => value === undefined)) return null;
  const check = rescue({ parts: parts.map(({ name }, i) => ({ name, ratio: shares[i] ?? 1, poured_g: weights[i] ?? 0 })), tolerance_pct: TOLERANCE_PCT });
  const add = check.add.map(({ name, mass_g }) => `${figure(mass_g, 2)} g of ${name}`).join(", ");
  if (check.within_tolerance)
    return (
      <Sign name="go">
        Ratio right within {TOLERANCE_PCT} %{check.error_pct > 0.05 ? `, ${figure(check.error_pct, 1)} % off` : ""}
      </Sign>
    );
  return (
    <Sign name="never" className="!whitespace-normal">
      {figure(check.error_pct, 0)} % off: add {add}
    </Sign>
  );
}
