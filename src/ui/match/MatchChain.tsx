"use client";
import { useRouter } from "next/navigation";
import { ROLE_LABELS, type Role, type Stance } from "@/core/catalogue";
import { CONDITION_COST, KEY_WEIGHT } from "@/core/match/chains";
import { type Judgement, type Reason, reasonsOf } from "@/core/match/judge";
import type { ChainLink } from "@/core/match/match.schema";
import { counted, figure } from "@/core/units";
import { keepingRows } from "@/core/views/buildRows";
import { useKept } from "../forms/kept";
import { Sign } from "../signs/Sign";
import { Cautions } from "../stations/Cautions";
import { useLog } from "../treatment/TreatmentLog";
import type { Forced } from "./picks";

/** What the choice takes of a bench hour, min; a working figure, corrected in the record. */
const MATCH_MIN = 10;

/** What keeps the chain from being planned, as the button says it; empty when it may be. */
export function whyNotPlanned(
  chain: readonly Judgement[],
  clashes: ReadonlyArray<readonly Reason[]>,
  roles: readonly Role[],
  forced: Forced,
): string {
  const missing = roles.find((role) => !chain.some((link) => link.role === role));
  if (missing) return `No ${ROLE_LABELS[missing].toLowerCase()} is chosen`;
  const clash = clashes.some(
    (reasons, i) => forced[chain[i]?.role as Role] === undefined && reasons.some(({ effect }) => effect === "refuse"),
  );
  return clash ? "Two links clash: choose another" : "";
}

interface PlanProps {
  readonly treatment: string;
  readonly damage: string;
  readonly stance: Stance;
  readonly forced: Forced;
  readonly chain: readonly Judgement[];
  readonly missing: string;
  /** What was chosen before, with what was set by hand. */
  readonly choice: { readonly chain: readonly ChainLink[]; readonly entry: string } | undefined;
  /** The survey says to refer the piece: going on asks for a reason, which is recorded. */
  readonly needsReason: boolean;
}

/** Writes the choice in the log and leads on. */
export function PlanButton({ treatment, damage, stance, forced, chain, missing, choice, needsReason }: PlanProps) {
  const router = useRouter();
  const log = useLog();
  const [reason, setReason, forget] = useKept(`match-reason:${treatment}:${damage}`, "");
  const plan = async () => {
    const links = chain.map(({ role, row, product }) => ({
      role,
      class: row.class,
      ...(product ? { product: { id: product.id, name: product.name, figures: product.figures } } : {}),
      ...(forced[role] ? { because: forced[role] } : {}),
    }));
    const body = {
      kind: "matched",
      damage,
      stance,
      chain: keepingRows(choice?.chain ?? [], links),
      hands_min: MATCH_MIN,
      ...(reason.trim() ? { reason: reason.trim() } : {}),
    } as const;
    if (!(await log.write(body, choice ? { corrects: choice.entry } : {}))) return;
    forget();
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

interface StripProps {
  readonly chain: readonly Judgement[];
  readonly clashes: ReadonlyArray<readonly Reason[]>;
  readonly keyRole: Role;
  readonly forced: Forced;
}

/** The chain as it stands, link by link, with the conditions and cautions that come with it. */
export function ChainStrip({ chain, clashes, keyRole, forced }: StripProps) {
  if (chain.length === 0) return null;
  return (
    <section aria-label="The chain" className="mt-4">
      <h2 className="pb-1">The chain, in the order of the work</h2>
      <div className="chain">
        {chain.map((link, i) => (
          <div key={link.role}>
            <span className="sub">{ROLE_LABELS[link.role]}</span>
            <p className="clamp-3 text-read font-bold leading-[20px]">{link.row.name}</p>
            {forced[link.role] && (
              <p className="pt-1">
                <Sign name="never">Against the rules</Sign> {forced[link.role]}
              </p>
            )}
            {[...(clashes[i] ?? []), ...reasonsOf(link).filter(({ effect }) => effect === "if")].map(({ rule, text, effect, unsure }) => (
              <p key={rule} className="pt-1 leading-[18px]">
                {effect === "refuse" && <Sign name="never">Clash</Sign>} {text}
                {unsure && <span className="dim"> Not certain: {unsure}.</span>}
              </p>
            ))}
          </div>
        ))}
      </div>
      <ChainSum chain={chain} conditions={clashes.flat().length} keyRole={keyRole} />
      <div className="mt-2 gap-x-8 md:columns-2">
        <Cautions of={chain.flatMap(({ row }) => row.hazards)} />
      </div>
      <p className="sub">Data sheets and local codes prevail over every figure here.</p>
    </section>
  );
}

/** The chain's score as a short sum. */
function ChainSum({ chain, conditions, keyRole }: { chain: readonly Judgement[]; conditions: number; keyRole: Role }) {
  const weight = (role: Role) => (role === keyRole ? KEY_WEIGHT : 1);
  const whole = chain.reduce((sum, { role }) => sum + weight(role), 0);
  const score = chain.reduce((sum, { role, score: each }) => sum + weight(role) * each, 0) / whole - CONDITION_COST * conditions;
  const terms = chain.map(
    ({ role, score: each }) => `${role === keyRole ? `${KEY_WEIGHT} × ` : ""}${figure(each)} ${ROLE_LABELS[role].toLowerCase()}`,
  );
  return (
    <p className="pt-2">
      <b>Chain {figure(score)} of 100</b> = ({terms.join(" + ")}) / {whole}
      {conditions > 0 && ` − ${CONDITION_COST} × ${counted(conditions, "condition")} between links`}
    </p>
  );
}
