import path from "node:path";
import { Worker } from "node:worker_threads";
import { CALCULATIONS, calc, type Outcome } from "@/core/calc";
import { problem } from "@/core/problem";

/** A calculation may take so long, ms; what takes longer is refused. */
export const CALC_LIMIT_MS = 1000;

/** A thread that has read the catalogue and waits for a question. */
interface Ready {
  readonly worker: Worker;
  readonly ready: Promise<void>;
}

type Answer = { readonly outcome: Outcome<unknown> } | { readonly error: Error };

const shared = globalThis as typeof globalThis & { __wanderjahrCalc?: Ready | undefined; __wanderjahrAsked?: Promise<unknown> };

/**
 * `calc` for whoever serves others meanwhile: what can be long is worked out in a thread of its own, one question after another, and
 * given up after a second.
 */
export function calcAside(name: string, input: unknown): Promise<Outcome<unknown>> {
  const long = Object.hasOwn(CALCULATIONS, name) && "long" in CALCULATIONS[name as keyof typeof CALCULATIONS];
  return long ? calcInThread(name, input) : Promise.resolve(calc(name, input));
}

/** Any calculation in the thread. @throws what the calculation throws */
export function calcInThread(name: string, input: unknown, limit = CALC_LIMIT_MS): Promise<Outcome<unknown>> {
  const asked = (shared.__wanderjahrAsked ?? Promise.resolve()).then(() => ask(name, input, limit));
  shared.__wanderjahrAsked = asked.catch(() => undefined);
  return asked;
}

/** For tests and scripts, which end. */
export async function endCalcThread(): Promise<void> {
  const thread = shared.__wanderjahrCalc;
  shared.__wanderjahrCalc = undefined;
  await thread?.worker.terminate();
}

async function ask(name: string, input: unknown, limit: number): Promise<Outcome<unknown>> {
  shared.__wanderjahrCalc ??= begun();
  const { worker, ready } = shared.__wanderjahrCalc;
  await ready;
  return new Promise((resolve, reject) => {
    const over = setTimeout(() => {
      end();
      void endCalcThread();
      resolve({ ok: false, problem: tooLong(limit) });
    }, limit);
    const told = (answer: Answer) => {
      end();
      if ("outcome" in answer) resolve(answer.outcome);
      else reject(answer.error);
    };
    const failed = (error: Error) => {
      end();
      shared.__wanderjahrCalc = undefined;
      reject(error);
    };
    const end = () => {
      clearTimeout(over);
      worker.off("message", told).off("error", failed);
    };
    worker.on("message", told).on("error", failed).postMessage({ name, input });
  });
}

function begun(): Ready {
  // the thread reads the sources as scripts do; written with `new`, the bundler would take it apart
  const worker: Worker = Reflect.construct(Worker, [path.resolve("bin/lib/calcThread.mjs")]);
  worker.unref();
  const ready = new Promise<void>((resolve, reject) => {
    worker.once("message", () => resolve());
    worker.once("error", reject);
  });
  ready.catch(() => {
    shared.__wanderjahrCalc = undefined;
  });
  return { worker, ready };
}

const tooLong = (limit: number) =>
  problem(
    422,
    "Too much at once",
    `This takes longer than ${limit / 1000} s to work out. Ask for less: fewer tasks, damages or entries, or larger steps.`,
    [{ path: "", message: "takes too long to work out" }],
  );
