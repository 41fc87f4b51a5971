"use client";
import { useState } from "react";
import { Area, CartesianGrid, ComposedChart, ReferenceArea, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { MaterialClass } from "@/core/catalogue";
import { doseVerdict, gelCurve, gelMinutes, hardenerGrams, hardenerOf } from "@/core/mix/hardener";
import { doseGrams, plain } from "@/core/units";
import { Sign } from "../signs/Sign";

interface Props {
  readonly material: MaterialClass;
  readonly resin_g: number;
  readonly temp_C: number;
}

/** How long it stays workable with more or less hardener at today's warmth; the dose is marked, and what too little and too much do. */
export function HardenerCurve({ material, resin_g, temp_C }: Props) {
  const hardener = hardenerOf(material);
  const [pct, setPct] = useState(hardener?.planned_pct ?? 2);
  if (!hardener) return null;
  const curve = gelCurve(material, temp_C).map(({ pct: x, from, to }) => ({ pct: x, minutes: [from, to] }));
  const [from, to] = gelMinutes(material, pct, temp_C);
  const verdict = doseVerdict(hardener, pct);
  const [least, most] = hardener.pct;
  const [first, last] = [curve[0]?.pct ?? 0, curve.at(-1)?.pct ?? 1];
  return (
    <section aria-label="Hardener">
      <h3 className="txt-label">Hardener against time, at {plain(temp_C, 1)} °C</h3>
      <p aria-live="polite">
        <span className="big-figure">
          {plain(from, from < 10 ? 1 : 0)} to {plain(to, to < 10 ? 1 : 0)} min
        </span>
        <br />
        workable with <b>{plain(pct, 1)} %</b>: {doseGrams(hardenerGrams(resin_g, pct))} of hardener in {doseGrams(resin_g)}
      </p>
      <label className="txt-label">
        Percent of hardener
        <input type="range" min={first} max={last} step={0.1} value={pct} onChange={(event) => setPct(Number(event.target.value))} />
      </label>
      <Sign name={verdict.ok ? "done" : "never"} wrap>
        {verdict.words}
      </Sign>
      <div
        className="hardener-chart"
        role="img"
        aria-label={`Minutes workable fall from ${plain(curve[0]?.minutes[1] ?? 0, 0)} at ${plain(first, 1)} % to ${plain(curve.at(-1)?.minutes[0] ?? 0, 0)} at ${plain(last, 1)} % of hardener`}
      >
        <ResponsiveContainer width="100%" height={220}>
          <ComposedChart data={curve} margin={{ top: 12, right: 16, bottom: 22, left: 4 }}>
            <CartesianGrid stroke="var(--color-ash-deep)" vertical={false} />
            <ReferenceArea
              x1={first}
              x2={least}
              fill="url(#h-wait)"
              fillOpacity={0.5}
              label={{ value: "never sets", position: "insideBottomLeft" }}
            />
            <ReferenceArea x1={most} x2={last} fill="url(#h-night)" label={{ value: "sets in the cup", position: "insideTopRight" }} />
            <XAxis
              dataKey="pct"
              type="number"
              domain={[first, last]}
              ticks={[first, ...Array.from({ length: Math.floor(last) }, (_, i) => i + 1)]}
              tickFormatter={(value: number) => plain(value, 1)}
              label={{ value: "hardener, % by mass", position: "insideBottom", offset: -14 }}
            />
            <YAxis width={62} tickFormatter={(value: number) => `${plain(value, 0)} min`} />
            <Area
              dataKey="minutes"
              type="monotone"
              stroke="var(--color-ink)"
              strokeWidth={2}
              fill="var(--color-ink)"
              fillOpacity={0.16}
              isAnimationActive={false}
            />
            <ReferenceLine x={pct} stroke="var(--color-verdigris)" strokeWidth={3} />
            <ReferenceLine x={hardener.planned_pct} stroke="var(--color-ink)" strokeDasharray="5 4" />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <p className="sub">
        Dashed: the planned {plain(hardener.planned_pct, 1)} %. Minutes go inversely with the dose, and with warmth by Arrhenius; good to
        some 30 %, a big cup is faster. The maker’s sheet prevails.
      </p>
    </section>
  );
}
