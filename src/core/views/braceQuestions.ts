import type { Hatch } from "../catalogue";
import type { BraceInput, BraceKind } from "../join/brace.schema";
import { braceKindOf } from "../join/kinds.data";
import type { BodyOf } from "../record/events.schema";
import type { Treatment } from "../record/treatment";
import { present } from "../units";
import type { Worked } from "./worked";

/** A joint that may be braced: what is asked of it, what is planned, what was recorded. */
export interface BraceQuestion {
  readonly damage: string;
  readonly question: BraceInput;
  readonly hatch: Hatch;
  readonly planned?: BraceKind;
  readonly recorded?: BodyOf<"braced">;
}

/** Ways that let something in, or may. */
const BRACED_WAYS: readonly string[] = ["brace", "bond", "bridge", "build", "close", "humidify"];

/** The brace of every damage that may have one; what stands freely in its body has none. */
export function braceQuestions({ damages: kept }: Treatment, { repair }: Worked): BraceQuestion[] {
  return repair.damages.flatMap(({ id, way, joint, links, context }) => {
    const question = BRACED_WAYS.includes(way.way) ? joint?.question : undefined;
    if (!question || question.support === "body") return [];
    const link = links.find(({ role }) => role === "brace");
    return [
      {
        damage: id,
        question,
        hatch: context.f.on.hatch,
        ...present({
          planned: link && braceKindOf(link.class),
          recorded: kept.find((each) => each.id === id)?.brace?.body,
        }),
      },
    ];
  });
}
