import type { ReactNode } from "react";
import type { Desk } from "@/core/views/desk/desk";
import { Sign } from "../signs/Sign";
import type { DeskTab } from "./deskAnswer";
import { ChainStrip } from "./MatchChain";
import { MatchMatrix } from "./MatchMatrix";
import { Openers } from "./Openers";
import { TakeBack } from "./presses";
import { Refused } from "./Refused";
import { Releases } from "./Releases";
import { WhyNot } from "./WhyNot";

/** What the rules say to a question, tab by tab; drawn on the server, where the rules and the catalogue are. */
export function matchViews(desk: Desk): Readonly<Record<DeskTab, ReactNode>> {
  return { candidates: <Candidates desk={desk} />, facts: <EveryFact desk={desk} />, chain: <Chain desk={desk} /> };
}

function Candidates({ desk }: { desk: Desk }) {
  const { question, input, found, role, here, judged, chain, changes, swapped } = desk;
  const because = question.forced[role];
  return (
    <>
      <Openers input={input} found={found} />
      {because && (
        <p className="py-2">
          <Sign name="never">Taken against the rules</Sign> {because} <TakeBack />
        </p>
      )}
      {swapped.map((text) => (
        <Sign key={text} name="soon" className="py-2" wrap>
          {text}
        </Sign>
      ))}
      <MatchMatrix role={role} facts={here} judged={judged} chosen={chain.find((link) => link.role === role)} changes={changes} few />
      <Refused role={role} found={found} changes={changes} />
    </>
  );
}

function EveryFact({ desk: { question, found, facts, places, role, here, judged, chain, changes } }: { desk: Desk }) {
  return (
    <>
      <WhyNot asked={question.why_not ?? ""} found={found} facts={facts} places={places} />
      <MatchMatrix role={role} facts={here} judged={judged} chosen={chain.find((link) => link.role === role)} changes={changes} />
    </>
  );
}

function Chain({ desk: { question, facts, chain, clashes } }: { desk: Desk }) {
  return (
    <>
      <ChainStrip chain={chain} clashes={clashes} forced={question.forced} />
      <Releases facts={facts} chain={chain} />
    </>
  );
}
