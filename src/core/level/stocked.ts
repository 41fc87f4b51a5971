import { type Grade, grainOf, sameGrade } from "../catalogue";
import { MAX_STEP_RATIO } from "./gritLadder";

/**
 * What lies in the drawer in place of a wanted grade: the nearest by grain within one step of a ladder, no coarser than wanted where
 * `end` is asked for, since a last scratch is seen. A grade with nothing near it stays, and has to be got.
 */
export function stocked(wanted: Grade, stock: readonly Grade[], end = false): Grade {
  const grain = grainOf(wanted) ?? 0;
  const off = (grade: Grade) => Math.abs(Math.log((grainOf(grade) ?? Number.EPSILON) / grain));
  const near = stock.filter((grade) => off(grade) <= Math.log(MAX_STEP_RATIO) && (!end || (grainOf(grade) ?? 0) <= grain));
  return near.reduce<Grade | undefined>((best, grade) => (best && off(best) <= off(grade) ? best : grade), undefined) ?? wanted;
}

/** Whether a grade lies in the drawer; where nothing is known of a drawer, everything does. */
export const isStocked = (grade: Grade, stock: readonly Grade[] | undefined): boolean =>
  stock === undefined || stock.some((each) => sameGrade(each, grade));
