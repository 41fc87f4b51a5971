"use client";
import { useRouter } from "next/navigation";
import type { Stance } from "@/core/catalogue";
import type { ChainLink } from "@/core/match/match.schema";
import { useKept } from "../forms/kept";
import { useLog } from "../treatment/TreatmentLog";

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
  /** It is on record. */
  readonly planned: () => void;
}

/** Writes the choice in the log and leads on. */
export function PlanButton({ treatment, damage, stance, links, missing, entry, needsReason, planned }: PlanProps) {
  const router = useRouter();
  const log = useLog();
  const [reason, setReason, forget] = useKept(`match-reason:${treatment}:${damage}`, "");
  const plan = async () => {
    const body = {
      kind: "matched" as const,
      damage,
      stance,
      chain: [...links],
      ...(reason.trim() ? { reason: reason.trim() } : {}),
    };
    if (!(await log.write(body, entry ? { corrects: entry } : {}))) return;
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
      <button type="button" className="btn go" onClick={() => void plan()} disabled={log.busy || blocked !== ""}>
        {blocked || "Plan this repair"}
      </button>
    </>
  );
}
