import type { Substrate } from "../catalogue";
import { brace as judgeBrace, safetyWith } from "../join/brace";
import type { BraceInput, BraceKind, BraceResult } from "../join/brace.schema";
import { braceKindOf } from "../join/kinds.data";
import { asSold } from "../join/rods";
import { type SizedBrace, sizeOf } from "../join/sizing";
import { STRENGTHS } from "../join/strengths.data";
import type { Tools } from "../operation/subject";
import type { Survey } from "../survey/survey.schema";
import { plain, present } from "../units";
import { braceQuestion } from "./braceQuestion";
import type { ChosenLinks, WorkPlace } from "./links";

/** A brace as it was decided on: its kind, "none" for none, its dimensions, the load that it was judged by, and what it is routed with. */
export interface BraceChoice {
  readonly kind: BraceKind;
  readonly size?: Readonly<Record<string, number>>;
  readonly judged_by?: Pick<BraceInput, "load_N" | "lever_mm">;
  readonly router?: Pick<Tools, "jig_mm" | "bit_mm">;
}

/** Whether a joint needs a brace: asked once of a damage, and heeded by its ways, Match, Join, Close and the card. */
export interface Strength {
  readonly question: BraceInput;
  /** The safety that the material asks. */
  readonly asks: number;
  /** Where the joint is reckoned as a beam. */
  readonly judged?: BraceResult;
  /** Of the braces that it may have, the one that serves it best. */
  readonly preferred?: BraceKind;
}

/** What a joint reaches as it is planned, and what is to be said of it. */
export interface Joint extends Strength {
  readonly reached?: number;
  readonly warnings: ReadonlyArray<{ readonly code: string; readonly message: string }>;
}

/** Joints that are reckoned as a beam. */
const BEAMS: readonly string[] = ["break-along", "break-across"];

/** The verdict on a damage's joint, by the load that the brace on record was judged by before the surveyed one; undefined where nothing is let in. */
export function strengthOf({
  survey,
  substrate,
  brace,
}: {
  readonly survey: Survey;
  readonly substrate: Substrate;
  readonly brace?: BraceChoice;
}): Strength | undefined {
  const surveyed = braceQuestion(survey.damage, substrate, survey.service);
  if (!surveyed) return undefined;
  const question = { ...surveyed, ...present({ ...brace?.judged_by }) };
  const judged = BEAMS.includes(question.joint) ? judgeBrace(question) : undefined;
  return {
    question,
    asks: STRENGTHS[substrate].asks,
    ...present({ judged, preferred: judged?.options.find(({ kind }) => kind !== "none")?.kind }),
  };
}

/** Ways that leave a joint to its glue, or brace it. */
const JOINED: readonly string[] = ["bond", "bridge", "brace"];

/** What the joint reaches when it is met in this way, with what is let in. */
export function reachedBy({ judged, ...strength }: Strength, sized: SizedBrace | undefined, way: string): Joint {
  const { question, asks } = strength;
  const braced = way === "brace" && sized !== undefined;
  const here = judged && JOINED.includes(way) ? (braced ? judgeBrace({ ...question, brace: sized.kind }) : judged) : undefined;
  const reached = braced ? safetyWith(sized, question) : here?.safety_without;
  const weak =
    reached !== undefined && reached < asks
      ? [{ code: "no-load", message: `The safety reached is ${plain(reached, 1)} of ${asks}: let it carry nothing and nobody.` }]
      : [];
  return {
    ...strength,
    ...present({ judged, reached }),
    warnings: [...(here?.warnings ?? []).filter(({ code }) => code === "refer"), ...weak],
  };
}

/** Where nothing is let in, the places that a way makes for it fall away, and what would be built around it is solid. */
export function unbraced(places: readonly WorkPlace[]): readonly WorkPlace[] {
  return places
    .filter(({ kind }) => kind !== "core")
    .map(({ around_core, ...place }) => (around_core ? { ...place, around_core: false } : place));
}

/** What is let in, with its dimensions: as it was set by hand, else as it is worked out; undefined where nothing is. */
export function sizedBrace(
  places: readonly WorkPlace[],
  links: ChosenLinks["links"],
  question: BraceInput,
  chosen: BraceChoice | undefined,
): SizedBrace | undefined {
  const core = places.find(({ kind }) => kind === "core");
  if (!core) return undefined;
  if (core.name === "anchors") return anchors(core);
  const link = links.find(({ place, role }) => place === core.id && role === "brace");
  const kind = chosen?.kind ?? (link && braceKindOf(link.class));
  if (kind === undefined || !fitsIn(kind, core)) return undefined;
  if (!chosen?.size) return underSkin(asSold(sizeOf(kind, question), question, "metric"), core);
  // hole, depth and walls follow from the rod that is taken, not from the one that was worked out
  const sized = sizeOf(kind, question, chosen.size);
  return { ...sized, size: { ...sized.size, ...chosen.size } };
}

/** What is drilled or slotted in across a break or under a build; cleats lie behind a crack. */
const LET_IN: readonly BraceKind[] = ["dowel", "pin", "spline", "wire", "screw"];
const fitsIn = (kind: BraceKind, { name }: WorkPlace): boolean => (name === "cleats" ? kind === "cleat" : LET_IN.includes(kind));

/** So much of the build covers a rod everywhere along it, mm; a rod that reaches out less than this holds nothing. Trade practice. */
const SKIN_MM = 1;
const LEAST_OUT_MM = 2;

/** A rod in a tip ends where the tip is still thick enough to cover it; where it would hardly reach out, none is set. */
function underSkin(sized: SizedBrace, { length_mm, section, end_mm }: WorkPlace): SizedBrace {
  const { diameter_mm = 0, out_mm, embed_mm = 0 } = sized.size;
  if (sized.refused || out_mm === undefined || length_mm === undefined || end_mm === undefined || !section || !("diameter_mm" in section))
    return sized;
  const base_mm = section.diameter_mm;
  const covers = diameter_mm + 2 * SKIN_MM;
  const thick = base_mm === end_mm ? length_mm : (length_mm * (base_mm - covers)) / (base_mm - end_mm);
  const out = Math.min(out_mm, length_mm - SKIN_MM, thick);
  if (out < LEAST_OUT_MM)
    return {
      ...sized,
      refused: true,
      size: {},
      reasons: [`A tip of ${plain(base_mm)} mm leaves no millimetre of cover around a core: build it free-hand.`],
    };
  const reasons =
    out < out_mm ? [...sized.reasons, `It ends ${plain(out)} mm out: ${plain(SKIN_MM)} mm of build covers it everywhere.`] : sized.reasons;
  return { ...sized, size: { ...sized.size, out_mm: out, length_mm: out + embed_mm }, reasons };
}

/** One anchor for so much of a broken plaster face, mm²; its depth in diameters; the plaster over it, mm. Trade practice; EN 1992-4 for the cover's order of size. */
const ANCHOR_FACE_MM2 = 1500;
const ANCHOR_MM = 4;
const ANCHOR_DEPTHS = 6;
const ANCHOR_COVER_MM = 12;

/** Screws in a broken plaster face: how many, how deep, how far out, and what covers them. */
function anchors({ area_mm2: face = 0, depth_mm: depth = 0 }: WorkPlace): SizedBrace {
  const count = Math.max(2, Math.ceil(face / ANCHOR_FACE_MM2));
  const out_mm = Math.max(5, Math.min(depth - ANCHOR_COVER_MM, depth * 0.6));
  return {
    kind: "screw",
    size: {
      count,
      diameter_mm: ANCHOR_MM,
      hole_mm: ANCHOR_MM + 1,
      embed_mm: ANCHOR_DEPTHS * ANCHOR_MM,
      out_mm,
      cover_mm: depth - out_mm,
      length_mm: ANCHOR_DEPTHS * ANCHOR_MM + out_mm,
    },
    reasons: [`${count} for ${plain(face / 100)} cm² of broken face.`, `${plain(depth - out_mm)} mm of plaster cover each.`],
  };
}
