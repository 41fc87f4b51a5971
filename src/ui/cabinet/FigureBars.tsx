import { classRow, middle } from "@/core/catalogue";
import { formatMinutes } from "@/core/units";
import type { StockProduct } from "@/core/views/stock";
import { figuresOf, rangeWords } from "./productForm";

const WIDE = 130;
/** Each figure is drawn on a scale of its own, with this share of its range free on both sides. */
const MARGIN = 0.7;

/** Box: what is published for the class. Bar: this jar's own figure, where it has one. */
export function FigureBars({ product }: { product: StockProduct }) {
  return (
    <section aria-label="Figures">
      <h3 className="flex items-baseline justify-between">
        Figures <span className="sub">box: its class, bar: this jar</span>
      </h3>
      {figuresOf(product.class).map(({ figure, label, unit, of, digits }) => {
        const published = of(classRow(product.class)) ?? [0, 0];
        const own = product.figures[figure];
        const [low, high] = [Math.min(published[0], own?.[0] ?? published[0]), Math.max(published[1], own?.[1] ?? published[1])];
        const margin = (high - low || Math.abs(high) || 1) * MARGIN;
        const from = low >= 0 ? Math.max(0, low - margin) : low - margin;
        const span = high + margin - from;
        const x = (value: number) => ((value - from) / span) * WIDE;
        return (
          <div key={figure} className="figure-row">
            <span>{label}</span>
            <svg width={WIDE} height="20" viewBox={`0 0 ${WIDE} 20`} aria-hidden="true">
              <path d={`M0 10H${WIDE}`} className="hairline" strokeOpacity=".45" />
              <rect x={x(published[0])} y="5" width={Math.max(2, x(published[1]) - x(published[0]))} height="10" className="figure-box" />
              {own && <path d={`M${x(middle(own))} 1V19`} stroke="currentColor" strokeWidth="3.500" />}
            </svg>
            <FigureWords range={own ?? published} unit={unit} digits={digits} />
          </div>
        );
      })}
    </section>
  );
}

/** Minutes in the words of the bench, everything else with its unit. */
function FigureWords({ range, unit, digits }: { range: readonly [number, number]; unit: string; digits: number }) {
  if (unit !== "min")
    return (
      <span className="figure-words">
        <b>{rangeWords(range, digits)}</b> <span className="sub">{unit}</span>
      </span>
    );
  const [low, high] = range;
  return (
    <b className="figure-words">
      {formatMinutes(low)}
      {low === high ? "" : ` to ${formatMinutes(high)}`}
    </b>
  );
}
