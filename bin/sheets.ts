import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import type { PlanInput } from "../src/core/plan/plan.schema";
import { planned } from "../src/core/plan/planCalc";
import { sheetOf, titleOf } from "../src/core/plan/sheet";

/** Write the work sheet of every kept job beside it. */
const folder = path.resolve("docs/jobs");
for (const file of readdirSync(folder).filter((name) => name.endsWith(".json"))) {
  const input = JSON.parse(readFileSync(path.join(folder, file), "utf8")) as PlanInput;
  writeFileSync(path.join(folder, file.replace(/json$/, "txt")), sheetOf(planned(input), titleOf(file)));
  console.log(`docs/jobs/${file.replace(/json$/, "txt")}`);
}
