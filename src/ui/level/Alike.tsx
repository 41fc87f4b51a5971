"use client";
import { useState } from "react";
import { alike } from "@/core/level/others.data";
import { plain } from "@/core/units";
import type { LevelRung } from "@/core/views/levelling";

/** What works like a rung in every other system: numbers are not comparable, grains are. */
export function Alike({ rungs }: { rungs: readonly LevelRung[] }) {
  const [op, setOp] = useState(rungs[0]?.op ?? "");
  const rung = rungs.find((each) => each.op === op) ?? rungs[0];
  if (!rung) return null;
  return (
    <section aria-label="Works alike" className="pt-4">
      <h2>What works alike</h2>
      <label className="txt-label">
        Instead of
        <select className="txt" value={rung.op} onChange={(event) => setOp(event.target.value)}>
          {rungs.map((each) => (
            <option key={each.op} value={each.op}>
              {each.label}, {plain(each.micron, 1)} µm
            </option>
          ))}
        </select>
      </label>
      <table className="lst">
        <tbody>
          {alike(rung.micron).map(({ system, grade, micron, off_pct }) => (
            <tr key={`${system} ${grade}`}>
              <td>{system}</td>
              <td>
                <b>{grade}</b>
              </td>
              <td className="num">{plain(micron, 1)} µm</td>
              <td className="num">
                {Math.abs(off_pct) < 1 ? "the same" : `${plain(Math.abs(off_pct), 0)} % ${off_pct > 0 ? "coarser" : "finer"}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
