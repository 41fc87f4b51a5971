"use client";
import { Area, AreaChart, CartesianGrid, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { WITNESS_UM } from "@/core/cure/shrinkWait";
import { inSentence, plain } from "@/core/units";
import type { Levelling } from "@/core/views/levelling";
import { Sign } from "../signs/Sign";

const daysWords = (days: number): string => (days < 1 ? `${plain(days * 24, 0)} h` : `${plain(days, days < 10 ? 1 : 0)} days`);

/** How much the fill still sinks, and how long one waits until nobody sees it. */
export function ShrinkCurve({ wait }: { wait: NonNullable<Levelling["wait"]> }) {
  const { material, left_um, days, curve, seen, sheen, laid } = wait;
  const limit = WITNESS_UM[sheen];
  const whole = (curve.at(-1)?.day ?? 0) > 8;
  const now = curve.find((point) => point.left_um <= left_um)?.day ?? 0;
  return (
    <section aria-label="Shrink wait" className="pt-4">
      <h2>Sinking of the {inSentence(material)}</h2>
      <p>
        <span className="big-figure">{plain(left_um, left_um < 10 ? 1 : 0)} µm</span>
        <br />
        still to sink {laid ? "now" : "once it is laid"}; under {sheen} an edge is seen from {limit} µm
      </p>
      <Sign name={seen ? "soon" : "go"} wrap>
        {seen ? `Wait ${daysWords(days)} more: levelled today it shows a witness line.` : "Level it: what is left to sink is not seen."}
      </Sign>
      <div
        className="hardener-chart"
        role="img"
        aria-label={`From ${plain(curve[0]?.left_um ?? 0, 0)} µm when laid to ${plain(curve.at(-1)?.left_um ?? 0, 1)} µm after ${plain(curve.at(-1)?.day ?? 0, 0)} days`}
      >
        <ResponsiveContainer width="100%" height={160}>
          <AreaChart data={[...curve]} margin={{ top: 8, right: 16, bottom: 4, left: 4 }}>
            <CartesianGrid stroke="var(--color-ash-deep)" vertical={false} />
            <XAxis
              dataKey="day"
              type="number"
              domain={[0, "dataMax"]}
              tickFormatter={(value: number) => `${plain(value, whole ? 0 : 1)} d`}
            />
            <YAxis width={58} tickFormatter={(value: number) => `${plain(value, 0)} µm`} />
            <Area dataKey="left_um" stroke="var(--color-ink)" strokeWidth={2} fill="url(#h-lacquer)" isAnimationActive={false} />
            <ReferenceLine y={limit} stroke="var(--color-minium)" strokeWidth={2} />
            {laid && <ReferenceLine x={now} stroke="var(--color-verdigris)" strokeWidth={3} />}
          </AreaChart>
        </ResponsiveContainer>
      </div>
      <p className="sub">
        A drying model from the class’s full time, in this air and thickness; good to a factor of two. Feel with a nail before you trust it.
      </p>
    </section>
  );
}
