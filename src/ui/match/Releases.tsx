import type { Facts } from "@/core/match/case";
import type { Judgement } from "@/core/match/judge";
import { releasesFor } from "@/core/match/releases";
import { Sign } from "../signs/Sign";

/** Release agents and masks against the whole chain: what parts, what sticks, what must be off before colour. */
export function Releases({ facts, chain }: { facts: Facts; chain: readonly Judgement[] }) {
  if (!chain.some(({ role }) => role === "filler" || role === "adhesive")) return null;
  return (
    <section aria-label="Release and masking" className="pt-4">
      <h2>Release and masking for this chain</h2>
      <table className="lst">
        <tbody>
          {releasesFor(facts, chain).map(({ row, verdict, reasons }) => (
            <tr key={row.class}>
              <td style={{ width: 190 }}>
                <b>{row.name}</b>
              </td>
              <td style={{ width: 110 }}>
                {verdict === "refused" ? (
                  <Sign name="never">Refused</Sign>
                ) : (
                  <Sign name="go">{verdict === "fits" ? "Fits" : "Fits if"}</Sign>
                )}
              </td>
              <td>{reasons.length === 0 ? `Comes off: ${row.reversible.by}.` : reasons.map(({ text }) => text).join(" ")}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
