import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";

const SRC = path.join(__dirname, "..", "src");
/** Files that may know how ids are written: the grammar itself, the upcaster of the first version, and who makes them. */
const MAY = ["core/record/opId.ts", "core/record/upcast.ts", "core/plan/merge.ts"];
const STATION = "(ready|join|fill|level|colour|close)";
/** An id taken apart, or a name looked for in one: `/^r(\\d+)\\/fill/`, `id.includes("/barrier")`, `place.split("/")`. */
const READS = [
  new RegExp(`\\\\/${STATION}\\\\/`),
  /\bid\.(includes|startsWith|endsWith|match|split)\(/,
  /\b(op|place|operation)\.(includes|startsWith|endsWith|match|split)\(["'`]([a-z0-9-]*\/|\$\{)/,
  new RegExp(`\\.(includes|startsWith)\\(["'\`]/?(r1/)?${STATION}/`),
];

const files = readdirSync(SRC, { recursive: true, encoding: "utf8" }).filter(
  (file) => /\.tsx?$/.test(file) && !/\.(test|fixture)\.ts$/.test(file) && !MAY.includes(file.replaceAll(path.sep, "/")),
);

test("no file takes an id apart but the one that knows its grammar", () => {
  const found = files.flatMap((file) =>
    readFileSync(path.join(SRC, file), "utf8")
      .split("\n")
      .flatMap((line, i) => (READS.some((reads) => reads.test(line)) ? [`${file}:${i + 1} ${line.trim()}`] : [])),
  );
  expect(found).toEqual([]);
});

test("the check sees what it is for", () => {
  for (const line of [
    'id.includes("/barrier")',
    "const PLACED = /^r(\\d+)\\/fill\\/place/",
    'place.split("/")[0]',
    'x.startsWith("r1/close/sign")',
  ])
    expect([line, READS.some((reads) => reads.test(line))]).toEqual([line, true]);
});
