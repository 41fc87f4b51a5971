import { plain } from "../units";
import type { BraceInput } from "./brace.schema";
import { type DrillSet, nearestDrill } from "./drills.data";
import { RODS } from "./rods.data";
import { type SizedBrace, sizeOf } from "./sizing";

/**
 * A brace in the size that is sold nearest to the one worked out, never thicker than the section takes, with every other dimension
 * following from that. What is not sold by thickness, or nowhere thin enough, stays as it was, and says so.
 */
export function asSold(sized: SizedBrace, input: BraceInput, set: DrillSet): SizedBrace {
  const { kind, size, refused } = sized;
  const sold = RODS[kind]?.[set];
  if (!sold || refused || size.diameter_mm === undefined) return sized;
  const most = size.most_mm ?? size.diameter_mm;
  const found = nearestDrill(
    size.diameter_mm,
    sold.filter(({ mm }) => mm <= most + 1e-9),
  );
  if (!found) return { ...sized, reasons: [`None so thin is sold: file one down to ${plain(size.diameter_mm)} mm.`, ...sized.reasons] };
  const { drill, off_mm } = found;
  const worked = `worked out are ${plain(size.diameter_mm)} mm`;
  const why =
    Math.abs(off_mm) < 0.05
      ? "as worked out, and sold"
      : `sold nearest, ${plain(Math.abs(off_mm))} mm ${off_mm > 0 ? "thicker" : "thinner"}; ${worked}`;
  const taken = sizeOf(kind, input, { diameter_mm: drill.mm });
  return {
    ...taken,
    reasons: [`Take ${drill.label}: ${why}.`, ...taken.reasons.slice(1)],
  };
}
