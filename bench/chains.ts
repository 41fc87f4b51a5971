import { factsOf } from "../src/core/match/case";
import { clashesWith } from "../src/core/match/chains";
import type { Judgement } from "../src/core/match/judge";
import { matching } from "../src/core/match/match";
import type { MatchInput } from "../src/core/match/match.schema";
import type { Matching } from "../src/core/match/matching";
import { jars } from "../src/core/match/shelf.fixture";

const AIM_MS = 50;
const ROUNDS = 60;
const JARS = 2000;

const QUESTIONS: Readonly<Record<string, MatchInput>> = {
  "stoneware chip": {
    substrate: "stoneware",
    finish: "glaze",
    damage: { kind: "chip", depth_mm: 6 },
    service: { wet: true, food: true },
    stance: "reversible",
    climate_C: 18.6,
  },
  "goatskin tear": {
    substrate: "leather",
    finish: "dye",
    damage: { kind: "tear", gap_mm: 0.4, depth_mm: 1 },
    service: { flex: true, touched: true },
    stance: "reversible",
    climate_C: 18.6,
  },
  "painted hole": {
    substrate: "hardwood",
    finish: "paint",
    damage: { kind: "hole", depth_mm: 15 },
    service: { touched: true, outdoor: true },
    stance: "service",
    climate_C: 18.6,
  },
  "lost veneer": {
    substrate: "veneer-solid",
    finish: "shellac",
    damage: { kind: "veneer-lost", depth_mm: 0.7 },
    service: { touched: true },
    stance: "service",
    climate_C: 18.6,
  },
};

function median(times: number[]): number {
  return times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
}

function timed(work: () => unknown): number {
  const began = performance.now();
  work();
  return performance.now() - began;
}

/** Chains that trying everything would walk through. */
function everyChain({ byRole, roles }: Matching, input: MatchInput): number {
  const facts = factsOf(input);
  const lists = roles.map((role) => (byRole.get(role) ?? []).filter(({ verdict }) => verdict !== "refused"));
  let seen = 0;
  const walk = (links: readonly Judgement[]) => {
    if (links.length === lists.length) seen++;
    for (const next of lists[links.length] ?? [])
      if (!clashesWith(facts, links, next).some(({ effect }) => effect === "refuse")) walk([...links, next]);
  };
  walk([]);
  return seen;
}

const shelf = { jars: jars(JARS), need_cm3: { filler: 2, adhesive: 2 } };
console.log(`Chain search, full catalogue and ${JARS} own jars (aim: median under ${AIM_MS} ms)`);
for (const [name, input] of Object.entries(QUESTIONS)) {
  matching(input, shelf);
  const full = median(Array.from({ length: ROUNDS }, () => timed(() => matching(input, shelf))));
  const bare = median(Array.from({ length: ROUNDS }, () => timed(() => matching(input))));
  const found = matching(input);
  let tried = 0;
  const exhaustive = timed(() => {
    tried = everyChain(found, input);
  });
  console.log(
    `${name.padEnd(16)} median ${full.toFixed(1)} ms (${(full / AIM_MS).toFixed(2)} of the aim), without jars ${bare.toFixed(1)} ms; every one of ${tried} chains ${exhaustive.toFixed(0)} ms, ${(exhaustive / bare).toFixed(0)} ×`,
  );
}
