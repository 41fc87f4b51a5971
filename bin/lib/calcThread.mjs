import { createRequire } from "node:module";
import { parentPort } from "node:worker_threads";
import { register } from "tsx/cjs/api";

register();
const { calc } = createRequire(import.meta.url)("../../src/core/calc.ts");

/** One calculation after another, each answered as `calc` does; what it throws is thrown where it was asked. */
parentPort.on("message", ({ name, input }) => {
  try {
    parentPort.postMessage({ outcome: calc(name, input) });
  } catch (error) {
    parentPort.postMessage({ error });
  }
});
parentPort.postMessage({ ready: true });
