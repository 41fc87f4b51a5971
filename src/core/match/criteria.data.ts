import { middle, type Role, type Stance } from "../catalogue";
import { workingRange } from "../cure/working";
import { formatMinutes, plain } from "../units";
import type { Case } from "./case";

/** Faces closer than this meet, mm. */
const MEET_MM = 0.1;
/** How much is laid there, or how far apart; a gap of nothing is a gap that closes. */
const gapAsked = ({ depth_mm, gap_mm }: Case["damage"]): string => {
  if (depth_mm !== undefined) return `${plain(depth_mm)} mm to lay`;
  if (gap_mm === undefined) return "not measured";
  return gap_mm <= MEET_MM ? "the faces meet" : `up to ${plain(gap_mm, 2)} mm apart`;
};

/** What candidates are compared by. `calm` is what stands in the table when no rule speaks. */
export interface CriterionRow {
  readonly criterion: string;
  readonly label: string;
  readonly asks: (c: Pick<Case, "on" | "service" | "working_min" | "damage">) => string;
  readonly weight: Readonly<Record<Stance, number>>;
  readonly calm: (c: Case) => readonly [word: string, note: string];
  readonly roles?: readonly Role[];
}

export const CRITERIA = [
  { criterion: "bond", label: "Bond", asks: ({ on }) => `on ${on.label.toLowerCase()}`, weight: { reversible: 3, service: 4 }, calm: () => ["Firm", "holds directly"] },
  { criterion: "gap", label: "Gap", asks: ({ damage }) => gapAsked(damage), weight: { reversible: 2, service: 2 }, calm: ({ row }) => ["Fills it", `up to ${plain(row.max_layer_mm, 2)} mm a layer`] },
  { criterion: "time", label: "Working time", asks: ({ working_min }) => (working_min === undefined ? "no limit given" : `you asked ${plain(working_min)} min`), weight: { reversible: 1, service: 1 }, calm: (c) => [workingWord(c), `at ${plain(c.climate_C ?? c.row.cure.reference_C)} °C`] },
  { criterion: "level", label: "Levels flush", asks: ({ on }) => `beside ${on.label.toLowerCase()}`, weight: { reversible: 2, service: 2 }, calm: () => ["Cuts clean", "no harder than its surroundings"] },
  { criterion: "strength", label: "Strength", asks: ({ service }) => (service.load ? "carries a load" : "no load"), weight: { reversible: 1, service: 3 }, calm: ({ row }) => [STRENGTH_WORDS[row.strength], row.rigidity] },
  { criterion: "service", label: "Heat, wet, food", asks: ({ service }) => serviceWords(service), weight: { reversible: 2, service: 3 }, calm: ({ row }) => [WATER_WORDS[row.water], `soft from ${row.service_C[0]} °C`] },
  { criterion: "reverse", label: "Reversible", asks: () => "taken out again", weight: { reversible: 6, service: 1 }, calm: ({ row }) => ["Yes", row.reversible.by] },
  { criterion: "finish", label: "Colour and finish", asks: () => "what lies beside it", weight: { reversible: 2, service: 2 }, calm: ({ row }) => [row.takes_stain ? "Takes stain" : "Paint it", "safe beside the finish"] },
  { criterion: "shelf", label: "On the shelf", asks: () => "in the cabinet", weight: { reversible: 1, service: 1 }, calm: ({ product }) => [product ? `${plain(product.left_g, 0)} g` : "By the piece", product ? "in the cabinet" : "cut or bought to size"] },
] as const satisfies readonly CriterionRow[];

export type Criterion = (typeof CRITERIA)[number]["criterion"];

const STRENGTH_WORDS = { light: "Light", medium: "Medium", strong: "Strong" } as const;
const WATER_WORDS = { stands: "Washable", splash: "Wipe only", no: "Stays dry" } as const;

/** Workable time in this room; a material that only has a full stage is worked dry. */
function workingWord(c: Case): string {
  const minutes = middle(workingRange(c));
  return Number.isFinite(minutes) ? formatMinutes(Math.max(1, minutes)) : "Any time";
}

function serviceWords({ wet, food, heat_C, outdoor }: Case["service"]): string {
  const words = [wet && "washed", food && "food", outdoor && "outdoors", heat_C !== undefined && `${plain(heat_C)} °C`];
  return words.filter(Boolean).join(", ") || "indoors, dry";
}
