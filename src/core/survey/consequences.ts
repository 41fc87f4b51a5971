import { type DamageKind, earlierGlueRow, type FinishRow, FLAGS, type Flag, type SubstrateRow } from "../catalogue";
import { plain } from "../units";
import { CHECK_ROWS, checksFor, LIMITS } from "./inspection.data";
import type { Damage, DamageOf } from "./measures.data";
import { sectionOf } from "./place";
import { QUESTIONS } from "./questions.data";
import type { Survey } from "./survey.schema";

/** One line of "what this tells us": a consequence, and the answer that caused it. */
export interface Consequence {
  readonly text: string;
  readonly because: string;
  /** `refer` = stop here; `first` = comes before everything else; `then` = shapes the work. */
  readonly weight: "refer" | "first" | "then";
}

type Told = Pick<Survey, "service" | "inspected" | "earlier_glue" | "limits" | "finish_survives"> & {
  readonly damage?: Damage | undefined;
};

const WEIGHTS: readonly Consequence["weight"][] = ["refer", "first", "then"];

/** Everything that the answers so far mean for the work, what stops it first. */
export function consequences(told: Told, on: SubstrateRow, finish: FinishRow): Consequence[] {
  const found = [
    ...limitsSay(told),
    ...glueSays(told),
    ...checksSay(told, on, finish),
    ...measuresSay(told.damage),
    ...questionsSay(told),
    ...(told.finish_survives && finish.harmed_by.length > 0
      ? [
          {
            text: `${finish.label} stays: its solvents (${finish.harmed_by.join(", ")}) are held against a material.`,
            because: "the finish must survive",
            weight: "then",
          } as const,
        ]
      : []),
  ];
  return WEIGHTS.flatMap((weight) => found.filter((line) => line.weight === weight));
}

/** What the inspection brought to light, for the rules of Match. */
export function flagsOf(inspected: Survey["inspected"] = {}): Partial<Record<Flag, boolean>> {
  const seen = CHECK_ROWS.flatMap(({ check, findings }) => findings.find(({ finding }) => finding === inspected[check])?.flag ?? []);
  return Object.fromEntries(FLAGS.filter((flag) => seen.includes(flag)).map((flag) => [flag, true]));
}

/** The limits that say stop, in words; empty when the shop may go on. */
export function referrals({ limits = {} }: Pick<Survey, "limits">): string[] {
  return LIMITS.filter(({ limit, level }) => level === "refer" && limits[limit]).map(({ says }) => says);
}

function limitsSay({ limits = {} }: Told): Consequence[] {
  return LIMITS.filter(({ limit }) => limits[limit]).map(({ level, says, text }) => ({
    text: says,
    because: text.toLowerCase(),
    weight: level === "refer" ? "refer" : "first",
  }));
}

function glueSays({ earlier_glue: glue }: Told): Consequence[] {
  if (glue === undefined || glue === "none") return [];
  const { label, removed_by } = earlierGlueRow(glue);
  return [{ text: `Take the old repair off: ${removed_by}.`, because: `earlier glue: ${label.toLowerCase()}`, weight: "first" }];
}

function checksSay({ inspected = {}, damage }: Told, on: SubstrateRow, finish: FinishRow): Consequence[] {
  const asked = damage ? checksFor(on, finish.film, damage.kind) : CHECK_ROWS;
  return asked.flatMap(({ check, label, findings }) => {
    const found = findings.find(({ finding }) => finding === inspected[check]);
    return found?.tells === undefined
      ? []
      : [
          {
            text: found.tells,
            because: `${label.toLowerCase()}: ${found.word}`,
            weight: found.flag ? ("first" as const) : ("then" as const),
          },
        ];
  });
}

function questionsSay({ service }: Told): Consequence[] {
  return QUESTIONS.filter(({ ask }) => service[ask]).map(({ text, yes }) => ({ text: yes, because: text.toLowerCase(), weight: "then" }));
}

/** A build-up longer than this times its foot needs a core; trade practice. */
const SLENDER = 1.5;
/** A slope of at least this times the height holds nearly as the wood does (FPL Wood Handbook 2021, ch. 10, scarf joints). */
const LONG_SLOPE = 8;

const SAYS: { readonly [K in DamageKind]?: (damage: DamageOf<K>) => readonly [text: string, because: string] | undefined } = {
  tip: ({ base_mm, length_mm }) =>
    length_mm > SLENDER * base_mm
      ? [`It needs a core: the tip is ${plain(length_mm / base_mm)} times as long as its base.`, "from base and length"]
      : undefined,
  "break-along": ({ slope_mm, ...member }) => {
    const slope = slope_mm / sectionOf(member).height;
    return slope >= LONG_SLOPE
      ? [`The slope is 1 : ${plain(slope)}: glued well, it holds nearly as wood.`, "from slope and height"]
      : [
          `The slope is 1 : ${plain(slope)}, short for a glued scarf: the ways below say whether glue alone carries it.`,
          "from slope and height",
        ];
  },
  "break-across": ({ load_N = 0 }) =>
    load_N > 0 ? ["End grain holds little: Join works out the brace.", "a load across the break"] : undefined,
  tear: ({ tension }) =>
    tension ? ["Take the tension off behind it first, or bond in short sections.", "padding pulls it open"] : undefined,
  "veneer-lifted": ({ swelling_mm }) =>
    swelling_mm > 0
      ? ["The core is swollen: veneer laid back on it stands up again. Compare the options.", `${plain(swelling_mm, 2)} mm of swelling`]
      : undefined,
  "veneer-lost": ({ swelling_mm }) =>
    swelling_mm > 0 ? ["Cut the swollen core back to sound first.", `${plain(swelling_mm, 2)} mm of swelling`] : undefined,
  scratch: ({ depth_mm, film_um }) =>
    film_um > 0 && depth_mm * 1000 > film_um
      ? ["It goes through the film into the material: the colour has to be mended too.", "depth against film"]
      : undefined,
  dent: ({ broken }) =>
    broken ? undefined : ["Whole fibres may come up with damp heat: try that before a fill.", "the surface is not broken"],
  eroded: ({ cause_present }) =>
    cause_present ? ["Stop the cause first, or the next repair goes the same way.", "the cause is still there"] : undefined,
  "worn-thin": ({ flexes }) => (flexes ? ["Support it from behind before you press on it.", "it flexes under the thumb"] : undefined),
  stain: ({ through }) =>
    through ? ["Polishing won’t reach it: it is bleached or painted over.", "it goes through the finish"] : undefined,
};

function measuresSay(damage: Damage | undefined): Consequence[] {
  const said = damage && saysOf(damage);
  return said ? [{ text: said[0], because: said[1], weight: "then" }] : [];
}

function saysOf<K extends DamageKind>(damage: DamageOf<K>): readonly [string, string] | undefined {
  return (SAYS[damage.kind as K] as ((d: DamageOf<K>) => readonly [string, string] | undefined) | undefined)?.(damage);
}
