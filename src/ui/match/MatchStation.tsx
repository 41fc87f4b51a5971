"use client";
import { useDeferredValue, useMemo, useState } from "react";
import { ROLE_LABELS, type Role, STANCE_LABELS, STANCES, type Stance } from "@/core/catalogue";
import { factsOf, type Shelf } from "@/core/match/case";
import { clashesWith } from "@/core/match/chains";
import { matching } from "@/core/match/match";
import type { ChainLink, MatchInput } from "@/core/match/match.schema";
import { keyRole } from "@/core/match/roles";
import { Segmented } from "../forms/Segmented";
import { Sign } from "../signs/Sign";
import { Aids } from "./Aids";
import { ChainStrip, PlanButton, whyNotPlanned } from "./MatchChain";
import { MatchMatrix } from "./MatchMatrix";
import { candidates, chainFor, changesSince, otherStance, otherWould, type Picks, picksOf } from "./picks";
import { Refused } from "./Refused";
import { WhatIf } from "./WhatIf";
import { WhyNot } from "./WhyNot";

interface Props {
  readonly treatment: string;
  readonly input: Omit<MatchInput, "stance">;
  /** Absent = the cabinet is empty, and nothing is said of it. */
  readonly shelf?: Shelf;
  readonly choice?: { readonly stance: Stance; readonly chain: readonly ChainLink[]; readonly entry: string };
  readonly stale: boolean;
  /** Why the shop should stop and refer; empty when it may go on. */
  readonly referrals: readonly string[];
}

/** Match: candidates with reasons, the stance, what if, why not, the chain, and what was refused and why. */
export function MatchStation({ treatment, input, shelf, choice, stale, referrals }: Props) {
  const [stance, setStance] = useState<Stance>(choice?.stance ?? "reversible");
  const [asked, setAsked] = useState(input);
  const [picks, setPicks] = useState<Picks>(() => picksOf(choice?.chain ?? []));
  const question = useDeferredValue(asked);
  const found = useMemo(() => matching({ ...question, stance }, shelf), [question, stance, shelf]);
  const other = useMemo(() => matching({ ...question, stance: otherStance(stance) }, shelf), [question, stance, shelf]);
  const surveyed = useMemo(() => matching({ ...input, stance: choice?.stance ?? "reversible" }, shelf), [input, choice?.stance, shelf]);
  const changed = asked !== input || stance !== (choice?.stance ?? "reversible");
  const key = keyRole(found.roles);
  const [shownRole, setShownRole] = useState<Role | undefined>(key);
  const role = shownRole && found.roles.includes(shownRole) ? shownRole : key;
  if (key === undefined || role === undefined)
    return (
      <p className="py-6 text-[17px] leading-[24px]">A damage of this measure needs no material. Correct the survey, or skip to Close.</p>
    );
  const chain = chainFor(found, picks);
  const changes: ReadonlyMap<string, string> = changed ? changesSince(surveyed, found, role, picks[role]) : new Map();
  const facts = factsOf({ ...question, stance }, shelf);
  const clashes = chain.map((link, i) => clashesWith(facts, chain.slice(0, i), link));
  const missing = asked === input ? whyNotPlanned(chain, clashes, found.roles) : "This is a what-if: go back to the survey first";
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
            missing={missing}
            corrects={choice?.entry}
            needsReason={referrals.length > 0}
          />
        </div>
      </div>
      {referrals.map((text) => (
        <Sign key={text} name="never" className="pb-2" wrap>
          Stop and refer. {text}
        </Sign>
      ))}
      {stale && (
        <Sign name="soon" className="pb-2" wrap>
          The survey was changed after you chose: look again, then choose once more.
        </Sign>
      )}
      <WhatIf surveyed={input} asked={asked} ask={setAsked} />
      <MatchMatrix
        role={role}
        facts={facts}
        judged={candidates(found, role, picks[role])}
        chosen={chain.find((link) => link.role === role)}
        changes={changes}
        choose={(name) => setPicks({ ...picks, [role]: name })}
      />
      <ChainStrip chain={chain} clashes={clashes} keyRole={key} />
      <Aids facts={facts} chain={chain} />
      <WhyNot found={found} facts={facts} />
      <Refused role={role} found={found} changes={changes} />
    </>
  );
}
