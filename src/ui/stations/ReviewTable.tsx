import { Fragment } from "react";
import type { ReviewRow } from "@/core/plan/review";
import { formatMinutes } from "@/core/units";
import { Sign } from "../signs/Sign";

/** Planned against done, a row a station; what was changed carries its reason. No score. */
export function ReviewTable({ review }: { review: readonly ReviewRow[] }) {
  const changed = review.filter((row) => row.changed).length;
  return (
    <>
      <h2 className="flex items-baseline justify-between">
        Planned against done
        <span className="sub">
          {review.length - changed} as planned, {changed} changed
        </span>
      </h2>
      <table className="lst">
        <thead>
          <tr>
            <th>Station</th>
            <th className="num">Time, plan</th>
            <th className="num">done</th>
            <th>Figure, plan</th>
            <th>done</th>
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
                <td className="num">{formatMinutes(row.planned_min)}</td>
                <td className="num">
                  <b>{formatMinutes(row.done_min)}</b>
                </td>
                <td>{row.planned}</td>
                <td>
                  <b>{row.done}</b>
                </td>
                <td>{row.changed ? <Sign name="to-come">changed</Sign> : <Sign name="done">as planned</Sign>}</td>
              </tr>
              {row.why !== "" && (
                <tr>
                  <td colSpan={6} className="wrap-anywhere">
                    <b>Why:</b> {row.why}
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
        </tbody>
      </table>
    </>
  );
}
