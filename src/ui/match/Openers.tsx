import type { MatchInput } from "@/core/match/match.schema";
import type { Matching } from "@/core/match/matching";
import { openersOf } from "@/core/match/openers";
import { Sign } from "../signs/Sign";

/** Where no chain holds: the single demand, way or override that would open one. */
export function Openers({ input, found }: { input: MatchInput; found: Matching }) {
  if (found.chains.length > 0) return null;
  const openers = openersOf(input, found);
  return (
    <section aria-label="What would open a chain" className="pb-2">
      <Sign name="never">No chain of materials holds here</Sign>
      {openers.length === 0 ? (
        <p>No single change opens one: refer it to a specialist.</p>
      ) : (
        <ul>
          {openers.map(({ message }) => (
            <li key={message} className="leading-[20px]">
              {message}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
