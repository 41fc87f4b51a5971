import { classRow, DAMAGE_KINDS, type DamageKind, type Finish, SUBSTRATES } from "../catalogue";
import { ASKED, MET, SKIN_MM, SURFACES, VENEERED } from "./coverage.data";
import { match } from "./match";
import type { MatchInput, MatchResult } from "./match.schema";

/** A damage on a material with a surface. */
export interface Pair {
  readonly on: (typeof SUBSTRATES)[number];
  readonly finish: Finish;
  readonly kind: DamageKind;
}

/** A pair as it was asked, and what Match says. */
export interface Answer extends Pair {
  readonly asked: (typeof ASKED)[number]["name"];
  readonly found: MatchResult;
}

/** Every damage on every material that it is met on, with every surface that the material comes with. */
export function pairs(): Pair[] {
  return SUBSTRATES.flatMap((on) =>
    surfacesOf(on).flatMap((finish) =>
      DAMAGE_KINDS.filter((kind) => MET[kind].on.includes(on.family))
        .filter((kind) => !kind.startsWith("veneer") || VENEERED.includes(on.substrate))
        .map((kind) => ({ on, finish, kind })),
    ),
  );
}

const surfacesOf = ({ substrate, family }: Pair["on"]): readonly Finish[] =>
  substrate === "mdf-vinyl" ? ["foil", "none"] : SURFACES[family];

/** Match asked of a pair, once for each demand. */
export const answersTo = (pair: Pair): Answer[] =>
  ASKED.map(({ name, service }) => ({ ...pair, asked: name, found: match({ ...questionOf(pair), service }) }));

function questionOf({ on, finish, kind }: Pair): Omit<MatchInput, "service"> {
  const { measures } = MET[kind];
  const depth_mm =
    measures.depth_mm === undefined ? {} : { depth_mm: Math.min(measures.depth_mm, on.family === "skin" ? SKIN_MM : Infinity) };
  return { substrate: on.substrate, finish, damage: { kind, ...measures, ...depth_mm }, stance: "service" };
}

/** All answers as a report in Markdown: how many pairs end without a chain, why and what opens them; then what is taken first. */
export function coverageReport(answers: readonly Answer[]): string {
  const none = answers.filter(({ found }) => found.chains.length === 0);
  return [
    "# What Match answers",
    "",
    `Written by \`npm run coverage\`. ${answers.length / ASKED.length} pairs of material with surface and damage, each with ordinary measures, in the stance *service first*.`,
    "",
    "| Asked | Pairs without a chain |",
    "| --- | --- |",
    ...ASKED.map(({ name }) => `| ${name} | ${none.filter(({ asked }) => asked === name).length} |`),
    "",
    "## Without a chain",
    "",
    ...none.flatMap(openedBy),
    "",
    "## Taken first, indoors and at rest",
    "",
    ...answers.filter(({ asked }) => asked === ASKED[0]?.name).map(firstOf),
    "",
  ].join("\n");
}

const titleOf = ({ on, finish, kind }: Pair): string => `${on.label}, ${finish}: ${kind}`;

function openedBy(answer: Answer): string[] {
  return [`- ${titleOf(answer)}, ${answer.asked}`, ...answer.found.warnings.map(({ message }) => `  - ${message}`)];
}

function firstOf(answer: Answer): string {
  const chain = answer.found.chains[0];
  return `- ${titleOf(answer)}: ${chain ? chain.links.map((link) => classRow(link.class).name).join(" → ") : "none"}`;
}
