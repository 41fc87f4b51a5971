import { readFileSync } from "node:fs";
import { basename } from "node:path";
import { createInterface } from "node:readline";
import { calc } from "../src/core/calc";
import type { PlanInput } from "../src/core/plan/plan.schema";
import { planned } from "../src/core/plan/planCalc";
import { longSheetOf, titleOf } from "../src/core/plan/sheet";
import { shortSheetOf } from "../src/core/plan/shortSheet";
import { usualHours } from "../src/core/plan/workSheet";
import { type Problem, problem } from "../src/core/problem";

const USAGE =
  "npm run -s calc -- <name> <file.json | ->   or   npm run -s calc -- plan <file.json> --sheet [--long]   or   npm run -s calc -- --lines";

/** One question a line on standard input, one answer a line, in order. */
async function lines(): Promise<void> {
  for await (const line of createInterface({ input: process.stdin })) {
    if (line.trim() === "") continue;
    process.stdout.write(`${JSON.stringify(answer(line))}\n`);
  }
}

function answer(line: string): unknown {
  const asked = parse(line);
  if (!asked.ok) return asked;
  const { name, input } = (asked.value ?? {}) as { name?: unknown; input?: unknown };
  if (typeof name !== "string")
    return {
      ok: false,
      problem: problem(422, "The input does not fit", "A line is {name, input}.", [{ path: "/name", message: "is missing" }]),
    };
  return calc(name, input);
}

function parse(text: string): { ok: true; value: unknown } | { ok: false; problem: Problem } {
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch (error) {
    return { ok: false, problem: problem(400, "Not JSON", (error as Error).message) };
  }
}

function refuse(why: Problem): never {
  process.stderr.write(`${JSON.stringify(why)}\n`);
  process.exit(2);
}

/** One page by the clock; long, with every reason. */
function sheetOf(input: PlanInput, title: string, sheet: "short" | "long"): string {
  const repair = planned(input);
  return sheet === "long" ? longSheetOf(repair, title) : shortSheetOf(repair, title, Date.parse(input.at), usualHours(input.at));
}

function one(name: string, file: string, sheet: "short" | "long" | undefined): void {
  let text = "";
  try {
    text = readFileSync(file === "-" ? 0 : file, "utf8");
  } catch (error) {
    refuse(problem(400, "File can't be read", (error as Error).message));
  }
  const asked = parse(text);
  if (!asked.ok) refuse(asked.problem);
  const outcome = calc(name, asked.value);
  if (!outcome.ok) refuse(outcome.problem);
  if (sheet) process.stdout.write(sheetOf(asked.value as PlanInput, titleOf(basename(file)), sheet));
  else process.stdout.write(`${JSON.stringify(outcome.result)}\n`);
}

const args = process.argv.slice(2);
const long = args.includes("--long");
const sheet = long ? "long" : args.includes("--sheet") ? "short" : undefined;
const [name, file] = args.filter((arg) => arg !== "--sheet" && arg !== "--long");
if (name === "--lines") void lines();
else if (name && file && (!sheet || name === "plan")) one(name, file, sheet);
else refuse(problem(400, "Usage", USAGE));
