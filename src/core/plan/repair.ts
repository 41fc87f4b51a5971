import type { OperationKind, Range } from "../catalogue";
import type { Air } from "../cure/lag";
import type { Shelf } from "../match/case";
import type { Tools } from "../operation/subject";
import { workOutAll } from "./alongside";
import { edgesOf } from "./arrange";
import type { Context } from "./context";
import { cupByCup } from "./cupByCup";
import type { DamageInput, WorkedDamage } from "./damageContext";
import { expand } from "./expand";
import { foundIn, walkedOf } from "./found";
import type { FoundLayers } from "./foundLayers";
import { inOrder } from "./inOrder";
import type { PlanLink, WorkPlace } from "./links";
import type { OpMark } from "./marks";
import { measure } from "./measure";
import { merge } from "./merge";
import { minded } from "./minded";
import { type OwnOp, withOwn } from "./own";
import type { Operation, PlanInput } from "./plan.schema";
import type { Round } from "./roundContext";
import { withRound } from "./rounds";
import { costOf, elapsed, isStopped, referrals, sumRanges } from "./sums";
import { word } from "./word";

/** A treatment as it is planned: what the pages, the sheet and the calculation all read. */
export interface Repair {
  readonly damages: readonly WorkedDamage[];
  readonly places: readonly WorkPlace[];
  readonly links: readonly PlanLink[];
  readonly operations: readonly Operation[];
  /** By damage: the conditions that an operation of its own meets. */
  readonly met: ReadonlyMap<string, ReadonlySet<string>>;
  readonly rounds: readonly Round[];
  /** What was measured and mixed of the layers of the first round. */
  readonly found?: FoundLayers;
  readonly hands_min: Range;
  readonly elapsed_min: Range;
  readonly cost_eur: Range;
  readonly refer: ReadonlyArray<{ readonly code: string; readonly message: string }>;
}

export interface RepairInput {
  readonly damages: readonly DamageInput[];
  readonly stance: PlanInput["stance"];
  readonly air: Air;
  readonly tools: Tools;
  readonly rounds: readonly Omit<Round, "round">[];
  readonly marks: ReadonlyMap<string, OpMark>;
  readonly at: number;
  readonly own?: readonly OwnOp[];
  readonly shelf?: Shelf;
}

/**
 * From damages to operations, in passes that each know one thing: rows are asked about subjects (`expand`), with what was found of them;
 * what goes together is merged; rounds come over it; amounts and hands are measured; needs become edges (`arrange`) and an order by the
 * clock (`inOrder`); words come last.
 */
export function repairOf({ stance, air, tools, marks, at, shelf, own = [], ...input }: RepairInput): Repair {
  const damages = workOutAll(input.damages, stance, { air, tools }, shelf);
  const rounds = input.rounds.map((round, i) => ({ ...round, round: i + 2 }));
  const found = foundIn(1, marks);
  const drafts = damages.flatMap(({ id, context }) => expand(asFound(id, context, found, marks)));
  const met = new Map(
    damages.map(({ id }) => [id, new Set(drafts.flatMap(({ damage, row }) => (damage === id ? (row.meets ?? []) : [])))]),
  );
  const stopped = isStopped(input.damages, damages);
  const all_placed = rounds.reduce((all, round) => withRound(all, round, damages, marks, air), merge(drafts, 1, marks, air));
  const placed = stopped ? all_placed.filter(({ lead, id }) => UNTOUCHED.includes(lead.kind) || marks.has(id)) : all_placed;
  const measured = cupByCup(placed.map((each) => measure(each, air)));
  const edges = edgesOf(measured, new Map(damages.map(({ id, context }) => [id, context.air])));
  const operations = inOrder(measured, edges).map((each) => word(each, edges.get(each) ?? [], marks, air, at));
  const all = withOwn(operations, own, marks);
  return {
    damages,
    places: damages.flatMap(({ places }) => places),
    links: damages.flatMap(({ links }) => links),
    operations: minded(all, damages, met),
    met,
    rounds,
    ...(found ? { found } : {}),
    hands_min: sumRanges(all.map(({ hands_min }) => hands_min)),
    elapsed_min: elapsed(all),
    cost_eur: costOf(damages, all),
    refer: referrals(damages),
  };
}

/** What may be done to a piece that is to be referred: it is looked at and signed, never laid hands on. */
const UNTOUCHED: readonly OperationKind[] = ["photograph", "look", "test", "sign"];

/** A context with what its log tells of layers and rungs. */
function asFound(damage: string, context: Context, found: FoundLayers | undefined, marks: ReadonlyMap<string, OpMark>): Context {
  return { ...context, walked: walkedOf(damage, marks), ...(found ? { found } : {}) };
}
