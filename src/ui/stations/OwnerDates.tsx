"use client";
import type { OwnerLine } from "@/core/close/ownerDates";
import type { ClosingView } from "@/core/views/closing";
import { useNow, useWall } from "../frame/now";
import { Sign } from "../signs/Sign";

/** What the owner may do, from when, and what never. */
export function OwnerDates({ owner, full_at }: Pick<ClosingView, "owner"> & { full_at: number | undefined }) {
  const now = useNow();
  const wall = useWall();
  const when = (line: OwnerLine) =>
    line.when === "today" ? "Today" : full_at === undefined ? "Full cure" : full_at <= now ? "Now" : wall.day(full_at);
  return (
    <section aria-label="What the owner may do, and from when">
      <table className="lst">
        <tbody>
          {owner.map((line) => (
            <tr key={line.act}>
              <td style={{ width: 108 }}>{line.when === "never" ? <Sign name="never">Never</Sign> : <b>{when(line)}</b>}</td>
              <td>{line.act}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
