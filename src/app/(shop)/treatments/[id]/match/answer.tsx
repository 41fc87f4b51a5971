import { type DeskQuestion, deskOf, sameChoice } from "@/core/views/desk/desk";
import { deskFacts } from "@/core/views/desk/deskFacts";
import { chainRows } from "@/core/views/desk/links";
import type { DeskAnswer, Elsewhere } from "@/ui/match/deskAnswer";
import { matchViews } from "@/ui/match/MatchView";
import type { TreatmentPage } from "@/work/treatments";
import { pieceFacts } from "@/work/working";

type Damage = TreatmentPage["treatment"]["damages"][number];

/** What Match knows of a damage of this page. */
export const toldOf = (page: TreatmentPage, damage: Damage) => deskFacts({ ...page, piece: pieceFacts(page.record) }, damage);

/** A question about a damage judged, and drawn; undefined where no material is needed. */
export function answerTo(page: TreatmentPage, damage: Damage, question: DeskQuestion): DeskAnswer | undefined {
  const { facts } = toldOf(page, damage);
  const desk = facts && deskOf(facts, question);
  if (!desk) return undefined;
  const { role, other, links, missing } = desk;
  const elsewhere = page.treatment.damages.flatMap((each): Elsewhere[] => {
    if (each.id === damage.id || each.settled || missing !== "") return [];
    const there = toldOf(page, each).facts;
    const same = there && sameChoice(there, question.stance, links);
    const title = page.damages.find((known) => known.treatment === page.record.id && known.damage === each.id)?.title ?? each.id;
    return same ? [{ damage: each.id, title, links: same }] : [];
  });
  return { role, other, links, missing, elsewhere, rows: chainRows(desk), views: matchViews(desk) };
}
