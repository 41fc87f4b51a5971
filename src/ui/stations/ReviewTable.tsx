import { Fragment } from "react";
import { formatMinutes } from "@/core/units";
import type { ReviewRow } from "@/core/views/closing";
import { Sign } from "../signs/Sign";

/** Planned against done, a row a station; what was changed carries its reason, unless that is told elsewhere. No score. */
export function ReviewTable({ review, reasons = true }: { review: readonly ReviewRow[]; reasons?: boolean }) {
  const count = (what: ReviewRow["against"]) => review.filter(({ against }) => against === what).length;
  return (
    <>
      <h2 className="flex items-baseline justify-between">
        Planned against done
        <span className="sub">
          {count("as planned")} as planned, {count("changed")} changed{count("open") > 0 ? `, ${count("open")} open` : ""}
        </span>
      </h2>
      <table className="lst">
        <thead>
          <tr>
            <th>Station</th>
            <th className="num hide-phone">Time, plan</th>
            <th className="num">done</th>
            <th className="num hide-narrow">Acts, plan</th>
            <th className="num hide-narrow">done</th>
            <th>Against the plan</th>
          </tr>
        </thead>
        <tbody>
          {review.map((row) => (
            <Fragment key={row.station}>
              <tr>
                <td>
                  <b>{row.label}</b>
                </td>
                <td className="num hide-phone">
                  {row.planned === 0 ? "–" : `${formatMinutes(row.planned_min[0])} to ${formatMinutes(row.planned_min[1])}`}
                </td>
                <td className="num">
                  <b>{row.done.given === 0 ? "–" : formatMinutes(row.done.min)}</b>
                  {row.done.given < row.done.of && (
                    <span className="sub">
                      {" "}
                      {row.done.given} of {row.done.of} timed
                    </span>
                  )}
                </td>
                <td className="num hide-narrow">{row.planned === 0 ? "–" : row.planned}</td>
                <td className="num hide-narrow">
                  <b>{row.planned === 0 ? "–" : row.behind}</b>
                  {row.skipped > 0 && <span className="sub"> {row.skipped} left out</span>}
                </td>
                <td>
                  <Sign name={row.against === "as planned" ? "done" : "to-come"}>{row.against}</Sign>
                </td>
              </tr>
              {reasons &&
                row.why.map((why) => (
                  <tr key={`${row.station} ${why}`}>
                    <td colSpan={6} className="wrap-anywhere">
                      <b>Why:</b> {why}
                    </td>
                  </tr>
                ))}
            </Fragment>
          ))}
        </tbody>
      </table>
    </>
  );
}
