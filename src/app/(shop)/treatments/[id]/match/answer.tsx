import { type DeskFacts, type DeskQuestion, deskOf } from "@/core/views/desk/desk";
import type { DeskAnswer } from "@/ui/match/deskAnswer";
import { MatchView } from "@/ui/match/MatchView";

/** A question judged, and drawn; undefined where no material is needed. */
export function answerTo(facts: DeskFacts, question: DeskQuestion): DeskAnswer | undefined {
  const desk = deskOf(facts, question);
  if (!desk) return undefined;
  const { role, found, other, links, missing } = desk;
  return { role, roles: found.roles, other, links, missing, view: <MatchView desk={desk} /> };
}
