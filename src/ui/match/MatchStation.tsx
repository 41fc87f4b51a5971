"use client";
import { useMemo, useState } from "react";
import { type ClassName, classRow, ROLE_LABELS, type Role, STANCE_LABELS, STANCES, type Stance } from "@/core/catalogue";
import { factsOf } from "@/core/match/case";
import { clashesWith } from "@/core/match/chains";
import type { Judgement } from "@/core/match/judge";
import { insteadOf, type Matching, matching, REFER } from "@/core/match/match";
import type { ChainLink, MatchInput } from "@/core/match/match.schema";
import { keyRole } from "@/core/match/roles";
import { Segmented } from "../forms/Segmented";
import { HatchSwatch } from "../signs/Hatches";
import { Sign } from "../signs/Sign";
import { ChainStrip, PlanButton, whyNot } from "./MatchChain";
import { MatchMatrix } from "./MatchMatrix";

interface Props {
  readonly treatment: string;
  readonly input: Omit<MatchInput, "stance">;
  readonly choice?: { readonly stance: Stance; readonly chain: readonly ChainLink[]; readonly entry: string };
  readonly stale: boolean;
}

type Picks = Partial<Record<Role, ClassName>>;

/** Match: candidates with reasons, the stance, the chain, what was refused and why. */
export function MatchStation({ treatment, input, choice, stale }: Props) {
  const [stance, setStance] = useState<Stance>(choice?.stance ?? "reversible");
  const [picks, setPicks] = useState<Picks>(() => picksOf(choice?.chain ?? []));
  const found = useMemo(() => matching({ ...input, stance }), [input, stance]);
  const other = useMemo(() => matching({ ...input, stance: otherStance(stance) }), [input, stance]);
  const key = keyRole(found.roles);
  const [shownRole, setShownRole] = useState<Role | undefined>(key);
  const role = shownRole && found.roles.includes(shownRole) ? shownRole : key;
  if (key === undefined || role === undefined)
    return (
      <p className="py-6 text-[17px] leading-[24px]">A damage of this measure needs no material. Correct the survey, or skip to Close.</p>
    );
  const chain = chainFor(found, picks);
  const judged = ranked(found, role);
  const facts = factsOf({ ...input, stance });
  const clashes = chain.map((link, i) => clashesWith(facts, chain.slice(0, i), link));
  return (
    <>
      <div className="btn-row justify-between pb-2">
        {found.roles.length > 1 ? (
          <Segmented
            label="Link of the chain"
            value={role}
            options={found.roles.map((each) => [each, ROLE_LABELS[each]] as const)}
            onChange={setShownRole}
          />
        ) : (
          <span />
        )}
        <div className="btn-row">
          <span className="dim">{otherWould(other, found, stance)}</span>
          <Segmented
            label="Stance"
            value={stance}
            options={STANCES.map((each) => [each, STANCE_LABELS[each]] as const)}
            onChange={setStance}
          />
          <PlanButton
            treatment={treatment}
            stance={stance}
            chain={chain}
            missing={whyNot(chain, clashes, found.roles)}
            corrects={choice?.entry}
          />
        </div>
      </div>
      {stale && (
        <Sign name="soon" className="pb-2" wrap>
          The survey was changed after you chose: look again, then choose once more.
        </Sign>
      )}
      <MatchMatrix
        role={role}
        stance={stance}
        input={input}
        judged={judged}
        chosen={chain.find((link) => link.role === role)?.row.class}
        choose={(name) => setPicks({ ...picks, [role]: name })}
      />
      <ChainStrip chain={chain} clashes={clashes} />
      <Refused role={role} found={found} />
    </>
  );
}

const otherStance = (stance: Stance): Stance => (stance === "reversible" ? "service" : "reversible");

function picksOf(chain: readonly ChainLink[]): Picks {
  return Object.fromEntries(chain.map((link) => [link.role, link.class]));
}

/** Candidates of a role, best first. Of the key role: in the order of their chains, since neighbours count. */
function ranked({ byRole, chains }: Matching, role: Role): Judgement[] {
  const able = (byRole.get(role) ?? []).filter(({ verdict }) => verdict !== "refused");
  const place = (judgement: Judgement) => chains.findIndex(({ links }) => links.includes(judgement));
  return [...able].sort((a, b) => b.score - a.score).sort((a, b) => (place(a) < 0 ? 99 : place(a)) - (place(b) < 0 ? 99 : place(b)));
}

/** The best chain that keeps to what was picked; where a pick is refused now, the best without it. */
function chainFor({ byRole, chains, roles }: Matching, picks: Picks): Judgement[] {
  const able = (role: Role, name: ClassName | undefined) =>
    byRole.get(role)?.find(({ row, verdict }) => row.class === name && verdict !== "refused");
  const key = keyRole(roles);
  const keyed =
    key && picks[key] ? chains.find(({ links }) => links.some((link) => link.role === key && link.row.class === picks[key])) : undefined;
  const base = keyed ?? chains[0];
  return roles.flatMap((role) => able(role, picks[role]) ?? base?.links.find((link) => link.role === role) ?? []);
}

function otherWould(other: Matching, own: Matching, stance: Stance): string {
  const name = (found: Matching) => found.chains[0]?.links.find(({ role }) => role === keyRole(found.roles))?.row.name;
  const [theirs, ours] = [name(other), name(own)];
  const label = STANCE_LABELS[otherStance(stance)];
  if (theirs === undefined) return `${label} finds nothing either`;
  return theirs === ours ? `${label} would pick the same` : `${label} would pick ${theirs.toLowerCase()}`;
}

function Refused({ role, found }: { role: Role; found: Matching }) {
  const refused = (found.byRole.get(role) ?? []).filter(({ verdict }) => verdict === "refused");
  const instead = insteadOf(role, found.byRole, found.chains);
  const use = instead === REFER ? "No material here does this: refer." : `Use ${classRow(instead).name.toLowerCase()}.`;
  return (
    <section aria-label="Refused" className="mt-5">
      <h2 className="border-b border-ink pb-1">Refused for the {ROLE_LABELS[role].toLowerCase()}, and what instead</h2>
      {refused.map(({ row, reasons }) => {
        const against = reasons.filter(({ effect }) => effect === "refuse");
        const or = against.flatMap((reason) => reason.or ?? []);
        return (
          <div key={row.class} className="refusal">
            <span className="dim flex items-center gap-2 pl-1 font-semibold">
              <HatchSwatch hatch={row.hatch} size={28} />
              {row.name}
            </span>
            <Sign name="never">Refused</Sign>
            <span>
              {against.map(({ text }) => text).join(" ")} <b>{[use, ...or].join(" ")}</b>
            </span>
          </div>
        );
      })}
    </section>
  );
}
