"use client";
import { useRouter } from "next/navigation";
import type { Stance } from "@/core/catalogue";
import type { ChainLink } from "@/core/match/match.schema";
import { useKept } from "../forms/kept";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { useSendingAll } from "../treatment/useSendingAll";
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
  const { sent, problem, refusals, busy } = useSendingAll(treatment, log.version);
  const choice = (of: Pick<Elsewhere, "damage" | "links">) => ({
    kind: "matched" as const,
    damage: of.damage,
    stance,
    chain: [...of.links],
    ...(reason.trim() ? { reason: reason.trim() } : {}),
  });
  const leadOn = () => {
    forget();
    planned();
    router.push(`/treatments/${treatment}`);
  };
  const plan = async () => {
    if (await log.write(choice({ damage, links }), entry ? { corrects: entry } : {})) leadOn();
  };
  const planAll = async () => {
    const entries = [{ damage, links }, ...elsewhere].map((each) => ({ key: crypto.randomUUID(), body: choice(each) }));
    const stands = await sent(entries);
    if (stands?.size === entries.length) leadOn();
  };
  const trouble = problem?.detail ?? [...refusals.values()][0];
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
      {trouble && (
        <Sign name="away" wrap>
          {trouble}
        </Sign>
      )}
      {elsewhere.length > 0 && blocked === "" && entry === undefined && (
        <button
          type="button"
          className="btn"
          onClick={() => void planAll()}
          disabled={log.busy || busy}
          title={`Also for ${elsewhere.map(({ title }) => title).join(", ")}`}
        >
          Take it for all {elsewhere.length + 1}
        </button>
      )}
      <button type="button" className="btn go" onClick={() => void plan()} disabled={log.busy || blocked !== ""}>
        {blocked || "Plan this repair"}
      </button>
    </>
  );
}
