import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";
import type { PlanInput } from "../src/core/plan/plan.schema";
import { planned } from "../src/core/plan/planCalc";
import { titleOf } from "../src/core/plan/sheet";
import { shortSheetOf } from "../src/core/plan/shortSheet";
import { usualHours } from "../src/core/plan/workSheet";

/** Write the work sheet of every kept job beside it. */
const folder = path.resolve("docs/jobs");
for (const file of readdirSync(folder).filter((name) => name.endsWith(".json"))) {
  const input = JSON.parse(readFileSync(path.join(folder, file), "utf8")) as PlanInput;
  writeFileSync(
    path.join(folder, file.replace(/json$/, "txt")),
    shortSheetOf(planned(input), titleOf(file), Date.parse(input.at), usualHours(input.at)),
  );
  console.log(`docs/jobs/${file.replace(/json$/, "txt")}`);
}
