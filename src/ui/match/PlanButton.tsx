"use client";
import { useRouter } from "next/navigation";
import type { Stance } from "@/core/catalogue";
import type { ChainLink } from "@/core/match/match.schema";
import { useKept } from "../forms/kept";
import { useLog } from "../treatment/TreatmentLog";
import type { Elsewhere } from "./deskAnswer";

interface PlanProps {
  readonly treatment: string;
  readonly damage: string;
  readonly stance: Stance;
  readonly links: readonly ChainLink[];
  /** What keeps it from being planned; empty when it may be. */
  readonly missing: string;
  /** The entry of the choice before. */
  readonly entry: string | undefined;
  /** The survey says to refer the piece: going on asks for a reason, which is recorded. */
  readonly needsReason: boolean;
  /** Where the same choice fits as it is. */
  readonly elsewhere: readonly Elsewhere[];
  /** It is on record. */
  readonly planned: () => void;
}

/** Writes the choice in the log and leads on. */
export function PlanButton({ treatment, damage, stance, links, missing, entry, needsReason, elsewhere, planned }: PlanProps) {
  const router = useRouter();
  const log = useLog();
  const [reason, setReason, forget] = useKept(`match-reason:${treatment}:${damage}`, "");
  const plan = async (others: readonly Elsewhere[]) => {
    const because = reason.trim() ? { reason: reason.trim() } : {};
    for (const each of [{ damage, links }, ...others]) {
      const body = { kind: "matched" as const, damage: each.damage, stance, chain: [...each.links], ...because };
      if (!(await log.write(body, entry && each.damage === damage ? { corrects: entry } : {}))) return;
    }
    forget();
    planned();
    router.push(`/treatments/${treatment}`);
  };
  const blocked = missing || (needsReason && reason.trim() === "" ? "Say why it is done here all the same" : "");
  return (
    <>
      {needsReason && (
        <input
          className="txt w-[260px]"
          aria-label="Why it is done here all the same"
          placeholder="why it is done here all the same"
          value={reason}
          maxLength={2000}
          onChange={(event) => setReason(event.target.value)}
        />
      )}
      {elsewhere.length > 0 && blocked === "" && (
        <button
          type="button"
          className="btn"
          onClick={() => void plan(elsewhere)}
          disabled={log.busy}
          title={`Also for ${elsewhere.map(({ title }) => title).join(", ")}`}
        >
          Take it for all {elsewhere.length + 1}
        </button>
      )}
      <button type="button" className="btn go" onClick={() => void plan([])} disabled={log.busy || blocked !== ""}>
        {blocked || "Plan this repair"}
      </button>
    </>
  );
}
