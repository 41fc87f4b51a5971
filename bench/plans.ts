import { readdirSync, readFileSync } from "node:fs";
import { calc } from "../src/core/calc";

const FOLDER = "docs/jobs";
const ROUNDS = 40;
const AIM_MS = 5;

const median = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

function timed(input: (round: number) => object): number {
  return median(
    Array.from({ length: ROUNDS }, (_, round) => {
      const asked = input(round);
      const began = performance.now();
      const outcome = calc("plan", asked);
      if (!outcome.ok) throw new Error(outcome.problem.detail);
      return performance.now() - began;
    }),
  );
}

/** Every kept job: asked again in the same air, as a page is read again, and in an air that it never had, where all is matched anew. */
for (const file of readdirSync(FOLDER).filter((name) => name.endsWith(".json"))) {
  const job = JSON.parse(readFileSync(`${FOLDER}/${file}`, "utf8"));
  const again = timed(() => job);
  const anew = timed((round) => ({ ...job, climate: { ...job.climate, temp_C: job.climate.temp_C + (round + 1) / 1000 } }));
  const name = file.replace(".json", "").padEnd(26);
  console.log(
    `${name} again ${again.toFixed(1).padStart(5)} ms  ${(again / AIM_MS).toFixed(2)} of the aim of ${AIM_MS} ms   anew ${anew.toFixed(1).padStart(5)} ms`,
  );
}
