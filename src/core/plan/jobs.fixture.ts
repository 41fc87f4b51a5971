import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import type { Operation, PlanInput, PlanResult } from "./plan.schema";
import { plan } from "./planCalc";

const FOLDER = path.join(__dirname, "../../../docs/jobs");

/** The whole repairs that must come out right, by their numbers. */
export const JOB_FILES: readonly string[] = readdirSync(FOLDER)
  .filter((file) => file.endsWith(".json"))
  .sort();

export function jobInput(number: number): PlanInput {
  const file = JOB_FILES[number - 1];
  if (!file) throw new Error(`no job ${number}`);
  return JSON.parse(readFileSync(path.join(FOLDER, file), "utf8")) as PlanInput;
}

/** A job's plan, and short questions to it. */
export interface Job extends PlanResult {
  /** The operation whose id holds these words. */
  readonly op: (part: string) => Operation;
  readonly has: (part: string) => boolean;
  /** All of them, in the order of the plan. */
  readonly all: (part: string) => readonly Operation[];
  /** Whether one comes before the other. */
  readonly inOrder: (...parts: readonly string[]) => boolean;
  readonly taken: (link: string) => string | undefined;
  readonly place: (id: string) => PlanResult["places"][number];
  readonly words: string;
}

export function jobOf(input: PlanInput): Job {
  const found = plan(input);
  const { operations } = found;
  const all = (part: string) => operations.filter(({ id }) => id.includes(part));
  const op = (part: string) => {
    const [first] = all(part);
    if (!first) throw new Error(`no operation ${part} in\n${operations.map(({ id }) => id).join("\n")}`);
    return first;
  };
  const place = (id: string) => {
    const known = found.places.find((each) => each.id === id);
    if (!known) throw new Error(`no place ${id} among ${found.places.map((each) => each.id).join()}`);
    return known;
  };
  return {
    ...found,
    op,
    all,
    has: (part) => all(part).length > 0,
    inOrder: (...parts) => parts.every((part, i) => i === 0 || operations.indexOf(op(parts[i - 1] ?? "")) < operations.indexOf(op(part))),
    taken: (link) => found.links.find(({ id }) => id === link)?.class,
    place,
    words: operations.map(({ text, why, done_when }) => `${text} ${why} ${done_when}`).join("\n"),
  };
}

export const job = (number: number): Job => jobOf(jobInput(number));
