import { ROLE_LABELS } from "@/core/catalogue";
import { type Judgement, type Reason, reasonsOf } from "@/core/match/judge";
import type { Forced } from "@/core/views/desk/picks";
import { Sign } from "../signs/Sign";
import { Cautions } from "../stations/Cautions";

interface StripProps {
  readonly chain: readonly Judgement[];
  readonly clashes: ReadonlyArray<readonly Reason[]>;
  readonly forced: Forced;
}

/** The chain as it stands, link by link, with the conditions and cautions that come with it. */
export function ChainStrip({ chain, clashes, forced }: StripProps) {
  if (chain.length === 0) return null;
  return (
    <section aria-label="The chain">
      <p className="dim pb-1">In the order of the work, with the conditions that come with it.</p>
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
      <div className="mt-2 gap-x-8 md:columns-2">
        <Cautions of={chain.flatMap(({ row }) => row.hazards)} />
      </div>
      <p className="sub">Data sheets and local codes prevail over every figure here.</p>
    </section>
  );
}
