import { ROLE_LABELS, type Role } from "@/core/catalogue";
import { CONDITION_COST, KEY_WEIGHT } from "@/core/match/chains";
import { type Judgement, type Reason, reasonsOf } from "@/core/match/judge";
import { counted, figure } from "@/core/units";
import type { Forced } from "@/core/views/desk/picks";
import { Sign } from "../signs/Sign";
import { Cautions } from "../stations/Cautions";

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
