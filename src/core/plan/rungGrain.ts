import { type Grade, gradeLabel, gradeNamed, grainOf } from "../catalogue";
import { OTHER_ABRASIVES } from "../level/others.data";

/** What an operation sands or polishes with. */
export interface RungGrain {
  readonly label: string;
  readonly micron: number;
  /** Of a paper; a compound has none. */
  readonly grade?: Grade;
}

/** `grit-P180`, walked again `grit-P180-2`, `flat-P1200`, `compound-medium`; a whole polish begins with the medium one. */
const NAMED = /\/(?:grit|flat|compound)-(.+)\/[^/]+$/;
const POLISH = /\/gloss-compound\//;

/** The grain of an operation by its id; undefined where it names none. */
export function rungGrain(id: string): RungGrain | undefined {
  const name = POLISH.test(id) ? "medium" : NAMED.exec(id)?.[1];
  if (name === undefined) return undefined;
  const grade = gradeNamed(name) ?? gradeNamed(name.replace(/-\d+$/, ""));
  if (grade) return { label: gradeLabel(grade), micron: grainOf(grade) ?? 1, grade };
  const compound = OTHER_ABRASIVES.find((row) => row.id === `compound-${name}`);
  return compound && { label: compound.label, micron: Math.sqrt(compound.micron[0] * compound.micron[1]) };
}
