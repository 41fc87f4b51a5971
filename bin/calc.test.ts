import { spawnSync } from "node:child_process";
import path from "node:path";

const ROOT = path.resolve(__dirname, "..");

/** What `npm run -s calc --` runs; only the first test goes through npm, which takes its time. */
function run(args: readonly string[], input = "") {
  return spawnSync("node_modules/.bin/tsx", ["bin/calc.ts", ...args], { cwd: ROOT, input, encoding: "utf8" });
}

const chip = { solids: [{ shape: "edgeChip", length: 34, depth: 11, thickness: 6 }] };

test("one question on standard input is answered on standard output, with exit 0", () => {
  const { status, stdout } = spawnSync("npm", ["run", "-s", "calc", "--", "volume", "-"], {
    cwd: ROOT,
    input: JSON.stringify(chip),
    encoding: "utf8",
  });
  expect(status).toBe(0);
  expect(JSON.parse(stdout).volume_cm3).toBeCloseTo(1.762, 3);
});

test("a wrong question is a problem on standard error, with exit 2 and nothing on standard output", () => {
  const { status, stdout, stderr } = run(["volume", "-"], JSON.stringify({ solids: [] }));
  expect([status, stdout]).toEqual([2, ""]);
  const problem = JSON.parse(stderr.trim().split("\n").at(-1) ?? "");
  expect(problem).toMatchObject({
    type: expect.any(String),
    title: expect.any(String),
    status: 422,
    detail: expect.any(String),
    errors: [{ path: "/solids" }],
  });
});

test.each([
  ["not JSON", ["volume", "-"], "{"],
  ["no such file", ["volume", "/nowhere/at/all.json"], ""],
  ["no such calculation", ["polish", "-"], "{}"],
  ["no name at all", [], ""],
])("%s ends with 2", (_, args, input) => {
  expect(run(args, input).status).toBe(2);
});

test("lines are answered one by one, in order, and a wrong one stops nothing", () => {
  const lines = [
    { name: "volume", input: chip },
    { name: "volume", input: {} },
    { name: "polish", input: {} },
    { input: {} },
    { name: "volume", input: chip },
  ];
  const { status, stdout } = run(["--lines"], `${lines.map((line) => JSON.stringify(line)).join("\n")}\nnot json\n`);
  const answers = stdout
    .trim()
    .split("\n")
    .map((line) => JSON.parse(line));
  expect(status).toBe(0);
  expect(answers.map(({ ok }) => ok)).toEqual([true, false, false, false, true, false]);
  expect(answers[0].result.volume_cm3).toBeCloseTo(1.762, 3);
  expect(answers[1].problem.status).toBe(422);
  expect(answers[2].problem.status).toBe(404);
});
