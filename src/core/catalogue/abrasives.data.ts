/** Median grain size in µm of each grade, coarse to fine, by system. Numbers of two systems never compare; grains do. */
const P_GRADES: ReadonlyArray<readonly [number, number]> = [
  [12, 1815], [16, 1324], [20, 1000], [24, 764], [30, 642], [36, 538], [40, 425], [50, 336], [60, 269], [80, 201],
  [100, 162], [120, 125], [150, 100], [180, 82], [220, 68], [240, 58.5], [280, 52.2], [320, 46.2], [360, 40.5],
  [400, 35], [500, 30.2], [600, 25.8], [800, 21.8], [1000, 18.3], [1200, 15.3], [1500, 12.6], [2000, 10.3], [2500, 8.4],
];
const ANSI: ReadonlyArray<readonly [number, number]> = [
  [24, 715], [30, 638], [36, 535], [40, 428], [50, 351], [60, 268], [80, 192], [100, 141], [120, 116], [150, 93],
  [180, 78], [220, 66], [240, 53.5], [280, 44], [320, 36], [360, 28.8], [400, 23.6], [500, 19.7], [600, 16], [800, 12.2],
  [1000, 9.2], [1200, 6.5],
];
const JIS: ReadonlyArray<readonly [number, number]> = [
  [240, 57], [280, 48], [320, 40], [360, 35], [400, 30], [500, 25], [600, 20], [700, 17], [800, 14], [1000, 11.5],
  [1200, 9.5], [1500, 8], [2000, 6.7], [2500, 5.5], [3000, 4], [4000, 3], [6000, 2], [8000, 1.2],
];
const CUSHIONED: ReadonlyArray<readonly [number, number]> = [
  [1500, 30], [1800, 15], [2400, 12], [3200, 8], [3600, 6], [4000, 5], [6000, 4], [8000, 3], [12000, 2],
];

/** A system of grades. `micron` has no table: its grade is the grain itself. */
export const ABRASIVE_SYSTEMS = {
  P: { label: "P grade", prefix: "P", grades: P_GRADES, source: "FEPA 43-1, ISO 6344-2 (to P220) and ISO 6344-3 (ds50, from P240)" },
  ANSI: { label: "ANSI grade", prefix: "ANSI ", grades: ANSI, source: "ANSI B74.18, average grain, as in published grit tables" },
  JIS: { label: "JIS grade", prefix: "#", grades: JIS, source: "JIS R 6001-2, ds50 by electrical resistance" },
  cushioned: { label: "cushioned cloth", prefix: "cloth ", grades: CUSHIONED, off: 1 / 3, source: "typical data sheets of cushioned abrasive cloths; makers differ by about a third" },
  micron: { label: "grain in µm", prefix: "", grades: [], source: "the grade states its own grain" },
} as const satisfies Record<string, AbrasiveSystemRow>;

interface AbrasiveSystemRow {
  readonly label: string;
  readonly prefix: string;
  readonly grades: ReadonlyArray<readonly [number, number]>;
  /** How far makers differ in the grain of one grade, as a share of it; absent = a standard holds them. */
  readonly off?: number;
  readonly source: string;
}

export type AbrasiveSystem = keyof typeof ABRASIVE_SYSTEMS;

export interface Grade {
  readonly system: AbrasiveSystem;
  readonly grade: number;
}

/** Median grain of a grade in µm, or undefined when its system has no such grade. */
export function grainOf({ system, grade }: Grade): number | undefined {
  if (system === "micron") return grade > 0 ? grade : undefined;
  return ABRASIVE_SYSTEMS[system].grades.find(([name]) => name === grade)?.[1];
}

/** The grain of a grade from maker to maker, µm; undefined where a standard leaves no room. */
export function grainRange(grade: Grade): readonly [low: number, high: number] | undefined {
  const { off }: AbrasiveSystemRow = ABRASIVE_SYSTEMS[grade.system];
  const micron = grainOf(grade);
  return off === undefined || micron === undefined ? undefined : [micron * (1 - off), micron * (1 + off)];
}

/** Whether one grade follows the other in a set as its maker sells it: no sheet goes between them. */
export function areNeighbours(a: Grade, b: Grade): boolean {
  const grades = ABRASIVE_SYSTEMS[a.system].grades.map(([grade]) => grade as number);
  return a.system === b.system && a.system !== "micron" && Math.abs(grades.indexOf(a.grade) - grades.indexOf(b.grade)) === 1;
}

/** A paper of the P series (FEPA 43-1). @example P(240) // => { system: "P", grade: 240 } */
export const P = (grade: number): Grade => ({ system: "P", grade });

/** @example gradeLabel({ system: "P", grade: 240 }) // => "P240" */
export function gradeLabel({ system, grade }: Grade): string {
  return system === "micron" ? `${grade} µm` : `${ABRASIVE_SYSTEMS[system].prefix}${grade}`;
}

/** A grade from its label; undefined where no system has it. @example gradeNamed("P240") // => { system: "P", grade: 240 } */
export function gradeNamed(label: string): Grade | undefined {
  const micron = /^(\d+(?:\.\d+)?) µm$/.exec(label)?.[1];
  if (micron) return { system: "micron", grade: Number(micron) };
  return (Object.keys(ABRASIVE_SYSTEMS) as AbrasiveSystem[])
    .flatMap((system) => ABRASIVE_SYSTEMS[system].grades.map(([grade]): Grade => ({ system, grade })))
    .find((grade) => gradeLabel(grade) === label);
}

export function sameGrade(a: Grade, b: Grade): boolean {
  return a.system === b.system && a.grade === b.grade;
}
