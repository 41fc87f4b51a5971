import { writeFileSync } from "node:fs";
import { answersTo, coverageReport, pairs } from "../src/core/match/coverage";

/** Write what Match answers to every pair of material and damage. */
writeFileSync("docs/coverage.md", coverageReport(pairs().flatMap(answersTo)));
console.log("docs/coverage.md");
