"use client";
import { useDeferredValue, useMemo, useState } from "react";
import { ROLE_LABELS, type Role, STANCE_LABELS, STANCES, type Stance } from "@/core/catalogue";
import { factsOf, type Shelf } from "@/core/match/case";
import { clashesWith } from "@/core/match/chains";
import { type AtPlaces, factsAt, matching } from "@/core/match/match";
import type { ChainLink, MatchInput } from "@/core/match/match.schema";
import { keyRole } from "@/core/match/roles";
import { Segmented } from "../forms/Segmented";
import { Sign } from "../signs/Sign";
import { Aids } from "./Aids";
import { ChainStrip, PlanButton, whyNotPlanned } from "./MatchChain";
import { MatchMatrix } from "./MatchMatrix";
import { Openers } from "./Openers";
import {
  askedPlaces,
  candidates,
  chainFor,
  changesSince,
  type Forced,
  forcedOf,
  otherStance,
  otherWould,
  type Picks,
  picksOf,
} from "./picks";
import { Refused } from "./Refused";
import { WhatIf } from "./WhatIf";
import { WhyNot } from "./WhyNot";

interface Props {
  readonly treatment: string;
  readonly damage: string;
  /** The links that the way takes, each with the measures of its own place. */
  readonly places: AtPlaces;
  /** How the damage is met, and why not in the way that would stand first. */
  readonly way: string;
  readonly because?: string;
  readonly input: Omit<MatchInput, "stance">;
  /** Absent = the cabinet is empty, and nothing is said of it. */
  readonly shelf?: Shelf;
  readonly choice?: { readonly stance: Stance; readonly chain: readonly ChainLink[]; readonly entry: string };
  readonly stale: boolean;
  /** Why the shop should stop and refer; empty when it may go on. */
  readonly referrals: readonly string[];
}

/** Match: candidates with reasons, the stance, what if, why not, the chain, and what was refused and why. */
export function MatchStation({ treatment, damage, places, way, because, input, shelf, choice, stale, referrals }: Props) {
  const [stance, setStance] = useState<Stance>(choice?.stance ?? "reversible");
  // undefined = as surveyed, whatever the air does meanwhile
  const [whatIf, setWhatIf] = useState<typeof input>();
  const [picks, setPicks] = useState<Picks>(() => picksOf(choice?.chain ?? []));
  const [forced, setForced] = useState<Forced>(() => forcedOf(choice?.chain ?? []));
  const asked = whatIf ?? input;
  const question = useDeferredValue(asked);
  const at = useMemo(() => askedPlaces(places, input, question), [places, input, question]);
  const found = useMemo(() => matching({ ...question, stance }, shelf, at), [question, stance, shelf, at]);
  const other = useMemo(() => matching({ ...question, stance: otherStance(stance) }, shelf, at), [question, stance, shelf, at]);
  const surveyed = useMemo(
    () => matching({ ...input, stance: choice?.stance ?? "reversible" }, shelf, places),
    [input, choice?.stance, shelf, places],
  );
  const changed = whatIf !== undefined || stance !== (choice?.stance ?? "reversible");
  const key = keyRole(found.roles);
  const [shownRole, setShownRole] = useState<Role | undefined>(key);
  const role = shownRole && found.roles.includes(shownRole) ? shownRole : key;
  if (key === undefined || role === undefined)
    return <p className="py-6 text-read leading-[24px]">“{way}” needs no material here. Correct the survey, or go on.</p>;
  const chain = chainFor(found, picks, forced);
  const changes: ReadonlyMap<string, string> = changed ? changesSince(surveyed, found, role, picks[role]) : new Map();
  const facts = factsOf({ ...question, stance }, shelf);
  const here = at.at[role];
  const clashes = chain.map((link, i) => clashesWith(facts, chain.slice(0, i), link));
  const missing =
    whatIf === undefined ? whyNotPlanned(chain, clashes, found.roles, forced) : "This is a what-if: go back to the survey first";
  const choose = (key: string, reason?: string) => {
    setPicks({ ...picks, [role]: key });
    const { [role]: _, ...others } = forced;
    setForced(reason === undefined ? others : { ...others, [role]: reason });
  };
  return (
    <>
      <p className="pb-1 text-read">
        <b>{way}</b>
        {because && <span className="dim">, since {because.charAt(0).toLowerCase() + because.slice(1)}</span>}
      </p>
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
            damage={damage}
            forced={forced}
            stance={stance}
            chain={chain}
            missing={missing}
            choice={choice}
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
      <Openers input={{ ...question, stance }} found={found} />
      <WhatIf surveyed={input} asked={asked} changed={whatIf !== undefined} ask={setWhatIf} />
      <MatchMatrix
        role={role}
        facts={here ? factsAt(facts, here) : facts}
        judged={candidates(found, role, picks[role])}
        chosen={chain.find((link) => link.role === role)}
        changes={changes}
        choose={choose}
      />
      {forced[role] && (
        <p className="py-2">
          <Sign name="never">Taken against the rules</Sign> {forced[role]}{" "}
          <button type="button" className="link-btn" onClick={() => setForced(({ [role]: _, ...others }) => others)}>
            Take it back
          </button>
        </p>
      )}
      <ChainStrip chain={chain} clashes={clashes} keyRole={key} forced={forced} />
      <Aids facts={facts} chain={chain} />
      <WhyNot found={found} facts={facts} places={at} />
      <Refused role={role} found={found} changes={changes} take={choose} />
    </>
  );
}
