import { ABRASIVE_SYSTEMS, type AbrasiveSystem, gradeLabel, grainOf, type Range } from "../catalogue";

/** What scratches without a grade of paper: how coarse it works, as the grain that leaves the like, µm. */
export interface OtherAbrasive {
  readonly id: string;
  readonly kind: "pad" | "wool" | "file" | "scraper" | "compound";
  readonly label: string;
  readonly micron: Range;
  readonly use: string;
  readonly source: string;
}

const PADS = "typical data sheets of non-woven pads; makers differ by about a third";
const WOOL = "fibre widths of graded steel wool, typical data sheets";
const FILES = "teeth to the centimetre of hand files, DIN 8349; the scratch taken as a quarter of the pitch";
const COMPOUNDS = "typical data sheets of polishing compounds; particles as sold, they break down in use";

/** What does the same work as a paper: so that all of it stands on one scale. */
export const OTHER_ABRASIVES: readonly OtherAbrasive[] = [
  { id: "file-bastard", kind: "file", label: "File, bastard cut", micron: [180, 260], use: "bulk, rigid fills and metal", source: FILES },
  { id: "file-second", kind: "file", label: "File, second cut", micron: [110, 180], use: "to the line; card the teeth", source: FILES },
  { id: "file-smooth", kind: "file", label: "File, smooth cut", micron: [60, 110], use: "flats and edges that paper would round", source: FILES },
  { id: "scraper", kind: "scraper", label: "Scraper, turned edge", micron: [15, 40], use: "films and wood: takes a shaving, leaves no dust", source: "trade practice" },
  { id: "pad-medium", kind: "pad", label: "Non-woven pad, medium", micron: [75, 125], use: "keying, metal", source: PADS },
  { id: "pad-fine", kind: "pad", label: "Non-woven pad, fine", micron: [35, 60], use: "between coats on profiles", source: PADS },
  { id: "pad-very-fine", kind: "pad", label: "Non-woven pad, very fine", micron: [20, 35], use: "dulling a gloss to satin", source: PADS },
  { id: "wool-0", kind: "wool", label: "Steel wool 0", micron: [40, 60], use: "never before water: it rusts", source: WOOL },
  { id: "wool-000", kind: "wool", label: "Steel wool 000", micron: [25, 40], use: "shellac between coats", source: WOOL },
  { id: "wool-0000", kind: "wool", label: "Steel wool 0000", micron: [15, 25], use: "rubbing out, with wax", source: WOOL },
  { id: "compound-coarse", kind: "compound", label: "Compound, coarse", micron: [8, 15], use: "takes P1500 out", source: COMPOUNDS },
  { id: "compound-medium", kind: "compound", label: "Compound, medium", micron: [3, 6], use: "takes P2500 out", source: COMPOUNDS },
  { id: "compound-fine", kind: "compound", label: "Compound, fine", micron: [0.8, 2], use: "last gloss, a pad of its own", source: COMPOUNDS },
];

/** One line of the comparison: every system's grade that works as a grain does, and how far off it is. */
export interface Alike {
  readonly system: string;
  readonly grade: string;
  readonly micron: number;
  /** Its grain against the one asked, percent. */
  readonly off_pct: number;
}

/** What works like so many µm in each system, the nearest of each; what is farther off than a half is left out. */
export function alike(micron: number): Alike[] {
  const papers = (Object.keys(ABRASIVE_SYSTEMS) as AbrasiveSystem[]).flatMap((system): Alike[] => {
    const grades = ABRASIVE_SYSTEMS[system].grades.map(([grade]) => ({ system, grade: grade as number }));
    const each = grades.map((grade) => ({ grade, grain: grainOf(grade) ?? 0 })).sort((a, b) => off(a.grain, micron) - off(b.grain, micron));
    const [best] = each;
    if (!best) return [];
    return [{ system: ABRASIVE_SYSTEMS[system].label, grade: gradeLabel(best.grade), micron: best.grain, off_pct: (best.grain / micron - 1) * 100 }];
  });
  const others = OTHER_ABRASIVES.filter(({ micron: [low, high] }) => low <= micron && micron <= high).map(
    ({ label, kind, micron: [low, high] }): Alike => ({
      system: KIND_LABELS[kind],
      grade: label,
      micron: Math.sqrt(low * high),
      off_pct: (Math.sqrt(low * high) / micron - 1) * 100,
    }),
  );
  return [...papers, ...others].filter(({ off_pct }) => Math.abs(off_pct) <= MOST_OFF_PCT);
}
const MOST_OFF_PCT = 50;
const off = (grain: number, micron: number) => Math.abs(Math.log(Math.max(grain, 1e-9) / micron));

const KIND_LABELS: Readonly<Record<OtherAbrasive["kind"], string>> = {
  pad: "non-woven pad",
  wool: "steel wool",
  file: "file",
  scraper: "scraper",
  compound: "compound",
};
