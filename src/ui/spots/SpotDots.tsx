import type { SpotView } from "@/core/views/rounds";
import { at } from "../survey/MovableMark";

/** What was found, on a condition map: open ones filled, those that a round has met hollow. */
export function SpotDots({ spots }: { spots: readonly SpotView[] }) {
  return spots.map(({ entry, label, round, ...place }) => (
    <span key={entry} className={`spot-mark ${round === undefined ? "open" : ""}`} style={at(place)}>
      <span className="spot-no">{label}</span>
    </span>
  ));
}
