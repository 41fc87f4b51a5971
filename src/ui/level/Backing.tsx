"use client";
import { BACKINGS } from "@/core/level/plan.data";
import { plain } from "@/core/units";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { useScreen } from "../mix/useScreen";

const MOST_MM = 60;

/** What lies behind the paper, by the shape; a dowel for a hollow, drawn in true size to hold against it. */
export function Backing() {
  const [radius, keep] = useKept("backing-radius", "8");
  const { px_per_mm, calibrated } = useScreen();
  const read = parseNumber(radius);
  const mm = read.ok && read.value > 0 && read.value <= MOST_MM ? read.value : undefined;
  const px = (mm ?? 0) * px_per_mm;
  return (
    <section aria-label="Backing" className="pt-4">
      <h2>Behind the paper</h2>
      <ul className="leading-[24px]">
        {BACKINGS.map(({ shape, use }) => (
          <li key={shape}>
            {shape}: <b>{use}</b>
          </li>
        ))}
      </ul>
      <div className="max-w-[260px] pt-2">
        <NumberField
          name="radius"
          label="Radius of the hollow"
          unit="mm"
          value={radius}
          onChange={keep}
          error={mm === undefined ? `Enter a radius up to ${MOST_MM} mm.` : undefined}
        />
      </div>
      {mm !== undefined && (
        <figure className="pt-2">
          <svg width={px * 2 + 4} height={px + 4} role="img" aria-label={`A dowel of ${plain(mm * 2, 1)} mm, in true size`}>
            <path d={`M2 2A${px} ${px} 0 0 0 ${px * 2 + 2} 2Z`} fill="url(#h-wood)" stroke="currentColor" strokeWidth="2" />
          </svg>
          <figcaption className="sub">
            A dowel Ø {plain(mm * 2, 1)} mm, {calibrated ? "in true size" : "about true size: measure the screen once at a mix"}; less the
            paper, 0.5 mm.
          </figcaption>
        </figure>
      )}
    </section>
  );
}
