"use client";
import { doseGrams, plain } from "@/core/units";
import type { CutLayer } from "@/core/views/cut";
import { useNow, useWall } from "../frame/now";
import { HatchSwatch } from "../signs/Hatches";
import { Sign } from "../signs/Sign";

interface Props {
  readonly layers: readonly CutLayer[];
  readonly lit: number | undefined;
  readonly light: (layer: number | undefined) => void;
}

/** The record of each layer beside what was planned; the row and the layer in the drawing point at one another. */
export function LayerRows({ layers, lit, light }: Props) {
  return (
    <div className="section-rows">
      <table className="lst">
        <thead>
          <tr>
            <th scope="col">Layer</th>
            <th scope="col" className="num">
              Thick, plan
            </th>
            <th scope="col" className="num">
              done
            </th>
            <th scope="col" className="num">
              Mass, plan
            </th>
            <th scope="col" className="num">
              done
            </th>
            <th scope="col" className="num">
              Sinks
            </th>
            <th scope="col">When</th>
          </tr>
        </thead>
        <tbody>
          {layers.map((layer, i) => (
            <tr
              key={layer.name}
              className={i === lit ? "lit" : undefined}
              // the row can be reached by the keyboard, to light its layer
              tabIndex={0}
              onMouseEnter={() => light(i)}
              onMouseLeave={() => light(undefined)}
              onFocus={() => light(i)}
              onBlur={() => light(undefined)}
            >
              <td>
                <span className="flex items-center gap-2">
                  <HatchSwatch hatch={layer.hatch} size={30} />
                  <span>
                    {layer.name}
                    <span className="sub block">{layer.material}</span>
                  </span>
                </span>
              </td>
              <td className="num">{plain(layer.plan_mm, 2)} mm</td>
              <td className="num">{layer.done_mm === undefined ? "–" : `${plain(layer.done_mm, 2)} mm`}</td>
              <td className="num">{layer.plan_g === undefined ? "–" : doseGrams(layer.plan_g)}</td>
              <td className="num">{layer.done_g === undefined ? "–" : doseGrams(layer.done_g)}</td>
              <td className="num">{plain(layer.shrinks_mm, 2)} mm</td>
              <td>
                <When layer={layer} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function When({ layer: { state, at, from } }: { layer: CutLayer }) {
  const now = useNow(60_000);
  const wall = useWall();
  if (state === "done" && at) return <Sign name="done">{wall.stamp(Date.parse(at))}</Sign>;
  if (state === "now") return <Sign name="go">now</Sign>;
  if (at) return <Sign name="soon">mixed {wall.stamp(Date.parse(at))}</Sign>;
  return (
    <Sign name={from !== undefined && from > now ? "off" : "to-come"}>
      {from !== undefined && from > now ? `from ${wall.when(from, now)}` : "to come"}
    </Sign>
  );
}
