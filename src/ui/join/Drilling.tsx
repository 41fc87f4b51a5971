"use client";
import { drillingOf, type Hole } from "@/core/join/drilling";
import type { SizedBrace } from "@/core/join/sizing";
import { drillsHere } from "@/core/shop/tools";
import { counted, plain } from "@/core/units";
import { Link } from "../frame/Link";
import { useShop } from "../frame/now";

const HOLE_LABELS: Readonly<Record<Hole["hole"], string>> = { pilot: "Pilot", hole: "Hole" };

/** Nearest drills of the set one owns, and the card to lay the bit against; nothing where no hole is drilled. */
export function Drilling({ size, treatment }: { size: SizedBrace["size"]; treatment: string }) {
  const shop = useShop();
  const { holes, depth_mm } = drillingOf(size, drillsHere(shop));
  if (holes.length === 0) return null;
  const query = new URLSearchParams({
    depth: plain(depth_mm, 1),
    ...Object.fromEntries(holes.map(({ hole, found }) => [hole, found?.drill.label ?? ""])),
  });
  return (
    <section aria-label="Drill card" className="pt-3">
      <h3>Drill card</h3>
      {holes.map((hole) => (
        <HoleLine key={hole.hole} {...hole} />
      ))}
      <p>{plain(depth_mm, 1)} mm deep: pilot first, then the size; a backing block where it comes out, a depth stop on the bit.</p>
      <p className="dim">
        Out of {counted(drillsHere(shop).length, "drill")} in the drawer, {shop.units === "mm" ? "metric" : "inch fractions"}.{" "}
        <Link className="link" href="/shop#tools">
          Change what lies in it
        </Link>
      </p>
      <Link className="link-btn inline-flex items-center" href={`/treatments/${treatment}/drill-card?${query}`}>
        Print it, A6, with the depth as a bar
      </Link>
    </section>
  );
}

function HoleLine({ hole, wanted_mm, found }: Hole) {
  return (
    <p>
      {HOLE_LABELS[hole]}: wanted {plain(wanted_mm, 1)} mm, nearest <b>{found ? found.drill.label : "none in the drawer"}</b>
      {found && Math.abs(found.off_mm) > 0.05 && `, ${plain(Math.abs(found.off_mm), 2)} mm ${found.off_mm > 0 ? "wider" : "tighter"}`}
    </p>
  );
}
