"use client";
import { useRouter } from "next/navigation";
import { ROLE_LABELS, type Role, type Stance } from "@/core/catalogue";
import type { Judgement, Reason } from "@/core/match/judge";
import { PLANNED_MIN } from "@/core/plan/planned.data";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { Cautions } from "./Cautions";

/** What keeps the chain from being planned, as the button says it; empty when it may be. */
export function whyNot(chain: readonly Judgement[], clashes: ReadonlyArray<readonly Reason[]>, roles: readonly Role[]): string {
  const missing = roles.find((role) => !chain.some((link) => link.role === role));
  if (missing) return `Nothing fits the ${ROLE_LABELS[missing].toLowerCase()}`;
  return clashes.flat().some(({ effect }) => effect === "refuse") ? "Two links clash: choose another" : "";
}

interface PlanProps {
  readonly treatment: string;
  readonly stance: Stance;
  readonly chain: readonly Judgement[];
  readonly missing: string;
  readonly corrects: string | undefined;
}

/** Writes the choice in the log and leads on. */
export function PlanButton({ treatment, stance, chain, missing, corrects }: PlanProps) {
  const router = useRouter();
  const log = useLog();
  const plan = async () => {
    const links = chain.map(({ role, row }) => ({ role, class: row.class }));
    const written = await log.write({ kind: "matched", stance, chain: links, hands_min: PLANNED_MIN.match }, corrects ? { corrects } : {});
    if (written) router.push(`/treatments/${treatment}/ready`);
  };
  return (
    <button type="button" className="btn go" onClick={() => void plan()} disabled={log.busy || missing !== ""}>
      {missing || "Plan this repair"}
    </button>
  );
}

/** The chain as it stands, link by link, with the conditions and cautions that come with it. */
export function ChainStrip({ chain, clashes }: { chain: readonly Judgement[]; clashes: ReadonlyArray<readonly Reason[]> }) {
  return (
    <section aria-label="The chain" className="mt-4">
      <h2 className="pb-1">The chain, in the order of the work</h2>
      <div className="chain">
        {chain.map((link, i) => (
          <div key={link.role}>
            <span className="sub">{ROLE_LABELS[link.role]}</span>
            <p className="text-[16px] font-bold leading-[20px]">{link.row.name}</p>
            {[...(clashes[i] ?? []), ...link.reasons.filter(({ effect }) => effect === "if")].map(({ rule, text, effect }) => (
              <p key={rule} className="pt-1 leading-[18px]">
                {effect === "refuse" && <Sign name="never">Clash</Sign>} {text}
              </p>
            ))}
          </div>
        ))}
      </div>
      <div className="mt-2 gap-x-8 md:columns-2">
        <Cautions of={chain.flatMap(({ row }) => row.hazards)} />
      </div>
      <p className="sub">Data sheets and local codes prevail over every figure here.</p>
    </section>
  );
}
