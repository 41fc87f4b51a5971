import { doseGrams, euros, formatGrams, type Wall } from "@/core/units";
import type { ToBuy } from "@/core/views/week/toBuy";
import { Sideways } from "../frame/Sideways";

interface Props {
  readonly rows: readonly ToBuy[];
  readonly now: number;
  readonly wall: Wall;
}

const dayAndHour = (at: number, now: number, wall: Wall): string =>
  wall.day(at) === wall.day(now) ? `today ${wall.time(at)}` : wall.when(at, now);

/** What the open plans take and the cabinet has not, by the day on which it is needed. */
export function ToBuyList({ rows, now, wall }: Props) {
  if (rows.length === 0) return <p className="py-6 text-read leading-[24px]">Everything that the open plans take is in the cabinet.</p>;
  return (
    <div className="grid gap-3">
      <Sideways label="To buy">
        <table className="lst">
          <thead>
            <tr>
              <th>Material</th>
              <th className="num">Plans take</th>
              <th className="num">jars cover</th>
              <th className="num">missing</th>
              <th className="num">about</th>
              <th>Needed</th>
              <th>Who wants it</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ class: of, product, name, takes_g, here_g, missing_g, eur, needed, holds_up, wanted_by }) => (
              <tr key={`${of} ${product ?? ""}`}>
                <td>
                  <b>{name}</b>
                </td>
                <td className="num">{formatGrams(takes_g)}</td>
                <td className="num">{here_g > 0 ? formatGrams(here_g) : "–"}</td>
                <td className="num">
                  <b>{doseGrams(missing_g)}</b>
                </td>
                <td className="num">{euros(eur)}</td>
                <td>
                  <b>{needed === undefined ? "later" : dayAndHour(needed, now, wall)}</b>, for {holds_up}
                </td>
                <td>{wanted_by.join(", ")}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Sideways>
      <div className="btn-row">
        <a className="btn" href="/api/plan/to-buy">
          Save as CSV
        </a>
      </div>
      <p className="sub">
        Grams as they are mixed, waste counted; prices a gram from the jar, else the catalogue. A jar that has gone off is not here. Buy
        what is sold: a pack is more.
      </p>
    </div>
  );
}
