import type { Desk } from "@/core/views/desk/desk";
import { Sign } from "../signs/Sign";
import { ChainStrip } from "./MatchChain";
import { MatchMatrix } from "./MatchMatrix";
import { Openers } from "./Openers";
import { TakeBack } from "./presses";
import { Refused } from "./Refused";
import { Releases } from "./Releases";
import { WhyNot } from "./WhyNot";

/** What the rules say to a question; drawn on the server, where the rules and the catalogue are. */
export function MatchView({ desk }: { desk: Desk }) {
  const { question, input, found, facts, places, role, key, here, judged, chain, clashes, changes, swapped } = desk;
  const because = question.forced[role];
  return (
    <>
      <Openers input={input} found={found} />
      <MatchMatrix role={role} facts={here} judged={judged} chosen={chain.find((link) => link.role === role)} changes={changes} />
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
      <ChainStrip chain={chain} clashes={clashes} keyRole={key} forced={question.forced} />
      <Releases facts={facts} chain={chain} />
      <WhyNot asked={question.why_not ?? ""} found={found} facts={facts} places={places} />
      <Refused role={role} found={found} changes={changes} />
    </>
  );
}
