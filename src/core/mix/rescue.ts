import { NEXT_TO_NOTHING } from "../units/number";
import type { RescueInput, RescueResult } from "./rescue.schema";

/** Below this a part counts as exact: a tenth of a milligram in a kilogram. */
const EXACT = 1e-10;

/**
 * The least addition, never a removal, that brings poured parts (g, ratio by mass) back to the ratio exactly.
 * `error_pct`: the part that is furthest off against the first poured one, in percent of what it should be.
 * `add` names only the parts that are short; `total_g` is the whole after adding.
 * @throws {RangeError} if nothing has been poured
 */
export function rescue({ parts, tolerance_pct }: RescueInput): RescueResult {
  const scale = Math.max(...parts.map(({ poured_g, ratio }) => poured_g / ratio));
  if (!parts.some(isPoured)) throw new RangeError("nothing has been poured yet");
  const add = parts
    .map(({ name, ratio, poured_g }) => ({ name, mass_g: ratio * scale - poured_g }))
    .filter(({ mass_g }, i) => mass_g > EXACT * (parts[i]?.ratio ?? 1) * scale);
  const error_pct = errorPct(parts);
  return {
    within_tolerance: error_pct <= tolerance_pct + 1e-9,
    error_pct,
    add,
    total_g: scale * parts.reduce((sum, { ratio }) => sum + ratio, 0),
    basis: { formula: "scale = max(poured / ratio); add = ratio × scale − poured", source: "mass balance" },
    warnings: [],
  };
}

const isPoured = ({ poured_g }: RescueInput["parts"][number]) => poured_g > NEXT_TO_NOTHING;

function errorPct(parts: RescueInput["parts"]): number {
  const base = parts.find(isPoured);
  const unit = base ? base.poured_g / base.ratio : 1;
  return Math.max(...parts.map(({ poured_g, ratio }) => Math.abs(poured_g / (ratio * unit) - 1))) * 100;
}
