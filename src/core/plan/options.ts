import { gramsFor, type Range, type Stance } from "../catalogue";
import type { Shelf } from "../match/case";
import type { Chain } from "../match/chains";
import { reasonsOf } from "../match/judge";
import { type Matching, matching } from "../match/match";
import { readLog } from "../record/treatment";
import { lossOf } from "../survey/loss";
import type { Damage } from "../survey/measures.data";
import { OPTIONS, type OptionRow } from "../survey/options.data";
import type { Survey } from "../survey/survey.schema";
import { inSentence } from "../units";
import { adhesiveNeed, coatNeed } from "./batch";
import { matchInputOf } from "./matchInput";
import { type PieceFacts, planOf } from "./plan";

/** One option with what it takes, from the same engine that plans the work. */
export interface ComparedOption extends Omit<OptionRow, "as"> {
  /** What is then treated; absent = no chain is needed. */
  readonly damage?: Damage;
  /** The chain that Match would put first; absent with `refused` = nothing in the catalogue does it. */
  readonly materials: readonly string[];
  readonly refused: boolean;
  /** What keeps out the material that came nearest. */
  readonly refused_because?: string;
  readonly elapsed_min: number;
  /** Material, in euro, from the range of prices; absent = it depends on the part. */
  readonly cost_eur?: Range;
  /** Conditions that the chain carries: what can go wrong. */
  readonly conditions: number;
}

/** Repair, replace or leave, side by side. */
export function compareOptions(piece: PieceFacts, survey: Survey, stance: Stance, climate_C: number, shelf?: Shelf): ComparedOption[] {
  return OPTIONS[survey.damage.kind].map(({ as, ...row }) => {
    const damage = as?.(survey.damage);
    if (damage === undefined)
      return { ...row, materials: [], refused: as !== undefined, elapsed_min: row.hands_min + row.wait_min, conditions: 0 };
    const found = matching({ ...matchInputOf(piece, survey, damage, climate_C), stance }, shelf);
    const chain = found.chains[0];
    if (!chain)
      return { ...row, damage, materials: [], refused: true, ...nearest(found), elapsed_min: row.hands_min + row.wait_min, conditions: 0 };
    const plan = planWith(piece, survey, damage, stance, chain);
    return {
      ...row,
      damage,
      materials: chain.links.map((link) => link.row.name),
      refused: false,
      hands_min: row.hands_min + plan.hands_min,
      elapsed_min: row.hands_min + row.wait_min + plan.elapsed_min,
      cost_eur: costOf(chain, damage),
      conditions: chain.clashes.length + chain.links.filter(({ verdict }) => verdict === "fits-if").length,
    };
  });
}

/** Of the first link that nothing serves, the candidate that would score best, and why it is refused. */
function nearest({ roles, byRole }: Matching): { refused_because?: string } {
  const empty = roles.map((role) => byRole.get(role) ?? []).find((judged) => judged.every(({ verdict }) => verdict === "refused"));
  const [best] = [...(empty ?? [])].sort((a, b) => b.score - a.score);
  const why = best && reasonsOf(best).find(({ effect }) => effect === "refuse");
  return best && why ? { refused_because: `Nearest comes ${inSentence(best.row.name)}: ${why.text}` } : {};
}

const AT = "2000-01-01T00:00:00Z";

/** The plan as it would stand if this damage were treated with this chain. */
function planWith(piece: PieceFacts, survey: Survey, damage: Damage, stance: Stance, chain: Chain) {
  const links = chain.links.map(({ role, row }) => ({ role, class: row.class }));
  const entry = (seq: number) => ({ id: `00000000-0000-4000-8000-00000000000${seq}`, seq, at: AT });
  const treatment = readLog([
    { ...entry(1), body: { kind: "surveyed", survey: { ...survey, damage } } },
    { ...entry(2), body: { kind: "matched", stance, chain: links } },
  ]);
  const plan = planOf(piece, treatment);
  if (!plan) throw new Error("a survey always gives a plan");
  return plan;
}

/** A brace is bought by the piece; about this much of it, g. */
const BRACE_G = 20;

/** What the material of a chain costs, low to high: grams times price a kilogram. */
function costOf(chain: Chain, damage: Damage): Range {
  const loss = lossOf(damage);
  const cm3: Readonly<Record<string, number>> = {
    filler: loss.volume_cm3,
    adhesive: adhesiveNeed(loss),
    consolidant: (loss.opening_mm2 * 1) / 1000,
  };
  const ends = chain.links.map(({ role, row }): Range => {
    const grams = role === "brace" ? BRACE_G : gramsFor(role, cm3[role] ?? coatNeed(loss, row), row);
    return [(grams / 1000) * row.price_eur_kg[0], (grams / 1000) * row.price_eur_kg[1]];
  });
  return [ends.reduce((sum, [low]) => sum + low, 0), ends.reduce((sum, [, high]) => sum + high, 0)];
}
