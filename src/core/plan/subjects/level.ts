import { type Finish, type Grade, gradeLabel, grainOf, isFloated, isStripped, P, sameGrade } from "../../catalogue";
import { marksGlaze, OVER_GLAZE, sandedWith } from "../../level/beside";
import { isBarePolish } from "../../level/ops.data";
import { LADDER_ENDS, LADDER_STARTS } from "../../level/plan.data";
import { rungGrain } from "../../level/rungGrain";
import { isStocked, stocked } from "../../level/stocked";
import { walk } from "../../level/walk";
import { type AllSubjects, type Levelled, linkAt, placesWith, type Rung } from "../../operation/subject";
import { inSentence, present } from "../../units";
import type { Context } from "../context";
import type { PlanLink } from "../links";
import { filledPlaces } from "./fill";

type LevelSubjects = Pick<AllSubjects, "levelled" | "rung" | "compound" | "primed">;

/** Nothing coarser than the first touches a gloss film, and nothing finer than the last takes a height down; ISO 6344, trade practice. */
const FILM_FROM = [P(400), P(500), P(600), P(800), P(1000)] as const;
const FILM_TO = P(1500);
const COMPOUNDS = ["medium", "fine"] as const;

/** What is filed, sanded and polished of one damage, and its surfacer. */
export function levelSubjects(c: Context): LevelSubjects {
  const primed = placesWith(c, "levelling").flatMap((place) => {
    const link = linkAt(c, place, "levelling");
    return link ? [{ ...c, here: [place], link }] : [];
  });
  const here = placesWith(c, "filler").filter(({ kind, hidden }) => (kind === "void" || kind === "film") && !hidden);
  const filler = here[0] && linkAt(c, here[0], "filler");
  if (
    !filler ||
    c.f.on.family === "skin" ||
    (filler.class === "veneer-sheet" && isStripped(c.f.was, c.f.to_be)) ||
    filler.material.rigidity === "flexible"
  )
    return { levelled: [], rung: [], compound: [], primed };
  const one: Levelled = {
    ...c,
    here,
    film: here.some(({ kind }) => kind === "film"),
    sheet: filler.class === "veneer-sheet",
    fill: inSentence(filler.material.name.split(",")[0] ?? ""),
  };
  const rung = rungsOf(c, one, filler);
  return { levelled: [one], rung, compound: one.film || isBarePolish(c) ? compoundsAfter(one, rung.at(-1)?.grade) : [], primed };
}

/** Compounds, coarse to fine, each after the grain before it. */
function compoundsAfter(one: Levelled, last: Grade | undefined): LevelSubjects["compound"] {
  const grains = COMPOUNDS.map((word) => rungGrain({ abrasive: `compound-${word}` })?.micron ?? 1);
  return COMPOUNDS.map((word, i) => ({
    ...one,
    n: i + 1,
    word,
    stem: `compound-${word}`,
    micron: grains[i] ?? 1,
    ...present({ before_um: i === 0 ? last && grainOf(last) : grains[i - 1] }),
  }));
}

/** A blade leaves a hair, a float less, mm. */
const HAIR_MM = 0.15;
const FLOATED_MM = 0.05;

/** What stands proud before it is levelled, and what was found low: measured at the last look, else as it is planned to be laid, less the blade. */
export function standingProud(c: Context): { readonly um: number; readonly low_mm: number; readonly measured: boolean } {
  const found = c.found?.checked.get(c.f.id);
  if (found !== undefined) return { um: Math.max(0, found * 1000), low_mm: Math.max(0, -found), measured: true };
  const filled = filledPlaces(c);
  const planned = Math.max(0, ...filled.map(({ proud_mm }) => proud_mm));
  const last = filled.flatMap(({ layers }) => layers.at(-1)?.link.material ?? []);
  const trimmed = last.some(({ cure }) => cure.stages.some(({ stage }) => stage === "firm"));
  const left = last.length > 0 && last.every(isFloated) ? FLOATED_MM : trimmed ? HAIR_MM : planned;
  return { um: Math.min(planned, left) * 1000, low_mm: 0, measured: false };
}

/** What was floated has only its grain to lose. */
const FLOATED_FROM = P(220);

/** From where to where it is sanded, and why not further. */
interface Ladder {
  readonly from: Grade;
  readonly to: Grade;
  readonly because: string;
}

function ladderOf(c: Context, { film, sheet }: Levelled, { material }: PlanLink): Ladder {
  const { to, because } = endOf(c, film, sheet);
  const wanted = sheet
    ? P(180)
    : film
      ? filmFrom(standingProud(c).um)
      : isFloated(material)
        ? FLOATED_FROM
        : LADDER_STARTS[material.hardness];
  return { from: (grainOf(wanted) ?? 0) < (grainOf(to) ?? 0) ? to : wanted, to, because };
}

/** A grain cuts scratches of up to half its size: the coarsest of which twice its grain is still inside what stands proud, µm. */
const filmFrom = (proud_um: number): Grade => FILM_FROM.find((grade) => 2 * (grainOf(grade) ?? 0) <= proud_um) ?? P(1000);

function endOf(c: Context, film: boolean, sheet: boolean): Pick<Ladder, "to" | "because"> {
  const { on, finish } = c.f;
  if (sheet) return { to: P(240), because: "no finer before stain: it closes the pores" };
  if (film) return { to: FILM_TO, because: "then compound: a film is levelled very fine" };
  if (on.family === "metal" && finish.finish === "none")
    return { to: P(400), because: on.substrate === "soft-metal" ? "then polish; finer smears soft metal" : "then polish" };
  if (isBarePolish(c)) return { to: FILM_TO, because: "then compound: a dense bare face shows every scratch" };
  return LADDER_ENDS[finish.finish as Finish];
}

function rungsOf(c: Context, one: Levelled, filler: PlanLink): Rung[] {
  const { from, to, because } = ladderOf(c, one, filler);
  const stock = hereOf(c);
  const ends = stock ? ([stocked(from, stock), stocked(to, stock, true)] as const) : ([from, to] as const);
  const papers = walkedAgain(c, walk(...ends, [], stock).steps, ends[1]);
  const steps = c.f.finish.finish === "glaze" && !one.film ? [...papers, { grade: OVER_GLAZE, walk: 1 }] : papers;
  return steps.map(({ grade, walk: nth }, i): Rung => {
    const before = steps[i - 1]?.grade;
    return {
      ...one,
      n: i + 1,
      stem: `grit-${gradeLabel(grade)}${nth > 1 ? `-${nth}` : ""}`,
      grade,
      to: ends[1],
      because,
      again: nth > 1,
      missing: !isStocked(grade, stock),
      lubricant: sandedWith(c).words,
      unmasks: one.film
        ? i === steps.length - 1
        : c.f.finish.finish === "glaze" && !marksGlaze(grade) && (before === undefined || marksGlaze(before)),
      last: i === steps.length - 1,
      proud_um: i === 0 ? standingProud(c).um : 0,
      ...(before ? { before } : {}),
    };
  });
}

/** What a ladder is built of: what lies in the drawer, and what was there when it was walked. */
function hereOf({ tools: { grits }, walked = [] }: Context): readonly Grade[] | undefined {
  const used = walked.map(({ grade }) => grade);
  return grits && [...grits, ...used.filter((grade) => !grits.some((each) => sameGrade(each, grade)))];
}

interface Step {
  readonly grade: Grade;
  /** In which walk of the ladder: 1 the first, 2 after a step back. */
  readonly walk: number;
}

/** The rungs with those that come again: after a step back what was not walked before is walked in its turn, once. */
function walkedAgain(c: Context, steps: ReadonlyArray<{ readonly grade: Grade }>, to: Grade): Step[] {
  const { back = [], walked = [] } = c;
  const wasWalked = ({ grade, walk: nth }: Step) => walked.some((each) => each.walk === nth && sameGrade(each.grade, grade));
  const first = steps.map(({ grade }): Step => ({ grade, walk: 1 }));
  return back.reduce((all, grade, i) => {
    // the ladder may end coarser since: then there is nothing to walk again
    if ((grainOf(grade) ?? 0) < (grainOf(to) ?? 0)) return all;
    const again = walk(grade, to, [], hereOf(c)).steps.map((step): Step => ({ grade: step.grade, walk: i + 2 }));
    return [...all.filter(wasWalked), ...again];
  }, first);
}
