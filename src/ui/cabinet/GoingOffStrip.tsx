"use client";
import { figure, formatDate, formatGrams } from "@/core/units";
import type { ProductRow } from "@/core/views/cabinetRows";
import type { GoingOff } from "@/core/views/stock";
import { Sign } from "../signs/Sign";

/** When a product goes off, by its label or else by its class: a diamond when it has, an hourglass when it does within weeks. */
export function GoesOff({ row }: { row: ProductRow }) {
  if (row.expires === undefined) return row.about ? <>about {formatDate(row.about)}</> : <>no date</>;
  const day = formatDate(row.expires);
  if (row.freshness === "good") return <>{day}</>;
  return row.freshness === "gone" ? <Sign name="never">off since {day}</Sign> : <Weeks>{day}</Weeks>;
}

/** Weeks, not minutes: the closing wedge is for windows at the bench, so this is an hourglass. */
function Weeks({ children }: { children: React.ReactNode }) {
  return (
    <span className="sign sign-soon">
      <svg width="13" height="15" viewBox="0 0 13 15" aria-hidden="true">
        <path
          d="M1 1h11M1 14h11M2 1c0 4 4 4 4 6.500S2 10 2 14M11 1c0 4-4 4-4 6.500s4 2.500 4 6.500"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.600"
        />
      </svg>
      {children}
    </span>
  );
}

const MOST_SHOWN = 3;

/** What will go off before it is used: how much, when, and whether anything on the list takes it. */
export function GoingOffStrip({ goingOff }: { goingOff: readonly GoingOff[] }) {
  if (goingOff.length === 0) return null;
  const worth = goingOff.reduce((sum, { worth_eur }) => sum + worth_eur, 0);
  return (
    <section aria-label="Will go off before you use it" className="chain mb-3">
      <div>
        <h2>Will go off before you use it</h2>
        <p className="sub">worth about {figure(worth, 0)} € in all</p>
      </div>
      {goingOff.slice(0, MOST_SHOWN).map(({ product, lot, days, over_g, wanted }) => (
        <div key={lot.id}>
          <p className="clamp-3 font-bold">
            {product.name}, {formatGrams(lot.left_g)}
          </p>
          <p>
            {days < 0 ? (
              <Sign name="never">off since {formatDate(lot.expires ?? "")}</Sign>
            ) : (
              <Weeks>off {formatDate(lot.expires ?? "")}</Weeks>
            )}
          </p>
          <p>
            {wanted.length === 0 ? (
              <b>No piece here takes it.</b>
            ) : (
              <>
                {wanted.map(({ piece }) => piece).join(", ")} {wanted.length === 1 ? "takes" : "take"} {formatGrams(lot.left_g - over_g)};{" "}
                <b>{formatGrams(over_g)} stay over.</b>
              </>
            )}
          </p>
        </div>
      ))}
      {goingOff.length > MOST_SHOWN && (
        <div>
          <p className="dim">and {goingOff.length - MOST_SHOWN} more: sort the list by “Goes off”.</p>
        </div>
      )}
    </section>
  );
}
