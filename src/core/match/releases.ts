import { CLASS_ROWS, type MaterialClass } from "../catalogue";
import type { Facts } from "./case";
import type { Reason, Verdict } from "./judge";
import { type Link, RELEASE_RULES } from "./pairs.data";

/** A release agent or mask, judged against a whole chain. */
export interface JudgedRelease {
  readonly row: MaterialClass;
  readonly verdict: Verdict;
  readonly reasons: readonly Reason[];
}

const RANK: Readonly<Record<Verdict, number>> = { fits: 0, "fits-if": 1, refused: 2 };

/** What may keep this chain off moulds, cauls and neighbours: what fits first, what is refused last. */
export function releasesFor(facts: Facts, chain: readonly Link[]): JudgedRelease[] {
  return CLASS_ROWS.filter(({ group }) => group === "release")
    .map((row) => judgeRelease(facts, row, chain))
    .sort((a, b) => RANK[a.verdict] - RANK[b.verdict]);
}

function judgeRelease(facts: Facts, row: MaterialClass, links: readonly Link[]): JudgedRelease {
  const clashes = links.flatMap((link) =>
    RELEASE_RULES.filter(({ when }) => when(row, link, facts)).map(
      ({ id, effect, says, source }): Reason => ({ rule: id, effect, text: says({ role: "filler", row }, link), source }),
    ),
  );
  const holds: Reason[] =
    row.bonds[facts.on.family] === undefined
      ? [
          {
            rule: "release-no-hold",
            effect: "refuse",
            text: `${row.name} is not made for ${facts.on.label.toLowerCase()}.`,
            source: row.source,
          },
        ]
      : [];
  const reasons = [...new Map([...holds, ...clashes].map((reason) => [reason.rule, reason])).values()];
  const verdict = reasons.some(({ effect }) => effect === "refuse") ? "refused" : reasons.length > 0 ? "fits-if" : "fits";
  return { row, verdict, reasons };
}
