/** A likely cause of something that came out badly. */
export interface Cause {
  readonly text: string;
  /** The record speaks for it; else it is only what else it may be. */
  readonly seen: boolean;
}

/** One cause as a row: what it belongs to, how the record speaks for it, and what it says. */
export interface CauseRow<Facts, Defect extends string> {
  readonly of: readonly Defect[];
  /** What it can happen to; absent = all. */
  readonly when?: (facts: Facts) => boolean;
  /** How strongly the record speaks for it: 0 = not at all, 1 = as much as data sheets call wrong, more = more. */
  readonly speaks: (facts: Facts) => number;
  readonly says: (facts: Facts) => string;
  /** What it may be all the same where the record says nothing of it; absent = it is not named then. */
  readonly else?: string;
}

/** A way to come out badly, with what it may come from and what to do about it. */
export interface CameOutWay<Defect extends string> {
  readonly defect: Defect;
  readonly label: string;
  readonly causes: readonly Cause[];
  /** What to change in the next one. */
  readonly next?: string;
}

/** The record speaks for a cause from here on. */
const SEEN = 0.4;

/** Likely causes of a defect, what the record speaks for most first; then, in the order of the table, what it may be all the same. */
export function likely<Facts, Defect extends string>(rows: readonly CauseRow<Facts, Defect>[], defect: Defect, facts: Facts): Cause[] {
  return rows
    .filter(({ of, when }) => of.includes(defect) && (when?.(facts) ?? true))
    .map((row) => ({ row, weight: row.speaks(facts) }))
    .sort((a, b) => b.weight - a.weight)
    .flatMap(({ row, weight }): Cause[] => {
      if (weight >= SEEN) return [{ text: row.says(facts), seen: true }];
      return row.else === undefined ? [] : [{ text: row.else, seen: false }];
    });
}

/** A cause that nothing on record can speak for. */
export const silent = <Facts, Defect extends string>(of: readonly Defect[], words: string): CauseRow<Facts, Defect> => ({
  of,
  speaks: () => 0,
  says: () => words,
  else: words,
});
