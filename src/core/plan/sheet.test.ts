import { gradeLabel } from "../catalogue";
import { byTheClock } from "./clock";
import { JOB_FILES, jobInput } from "./jobs.fixture";
import { planned } from "./planCalc";
import { shortSheetOf } from "./shortSheet";
import { bindingOf, sittingsOf } from "./sittings";
import { usualHours } from "./workSheet";

const MINUTE = 60_000;
const sheets = JOB_FILES.map((file, i) => {
  const input = jobInput(i + 1);
  const repair = planned(input);
  const hours = usualHours(input.at);
  const at = Date.parse(input.at);
  const timed = byTheClock(repair.operations, at, hours);
  return { file, timed, sheet: shortSheetOf(repair, "job", at, hours), byId: new Map(timed.map((each) => [each.op.id, each])) };
});

/** A block of a sheet in one line, by the word at its left. */
function block(sheet: string, word: string): string {
  const lines = sheet.split("\n");
  const from = lines.findIndex((line) => line.startsWith(word));
  const to = lines.findIndex((line, i) => i > from && !line.startsWith(" "));
  return lines.slice(from, to).join(" ").slice(word.length).replace(/\s+/g, " ");
}

describe.each(sheets)("$file", ({ timed, sheet, byId }) => {
  test("what an operation is said to wait for is what is over last of all that it waits for, and nothing begins before that", () => {
    for (const { op, start } of timed) {
      const told = bindingOf(op, byId);
      const over = told && (byId.get(told.op)?.end ?? 0) + told.min_min * MINUTE;
      for (const { op: before, min_min } of op.after.filter((each) => each.min_min >= 5)) {
        const end = byId.get(before)?.end;
        if (end !== undefined) expect(over).toBeGreaterThanOrEqual(end + min_min * MINUTE);
      }
      if (over !== undefined) expect(start).toBeGreaterThanOrEqual(over - 1);
    }
  });

  test("an operation names no paper in its words that it does not carry", () => {
    for (const { op } of timed) {
      const carried = [...(op.grade ? [op.grade] : []), ...(op.papers ?? [])].map(gradeLabel);
      expect([op.id, (op.text.match(/\bP\d{2,4}\b/g) ?? []).filter((named) => !carried.includes(named))]).toEqual([op.id, []]);
    }
  });

  test("every operation stands in one sitting; what is left to itself after the last that is done before it, and never before that", () => {
    const sittings = sittingsOf(timed);
    const stands = sittings.flatMap(({ timed: done, left }) => [...done, ...left]).map(({ op }) => op.id);
    expect([...stands].sort()).toEqual(timed.map(({ op }) => op.id).sort());
    for (const [i, { left }] of sittings.entries())
      for (const { op } of left) {
        const behind = new Set(sittings.slice(0, i + 1).flatMap(({ timed: done }) => done.map((each) => each.op.id)));
        expect(op.after.map((each) => each.op).filter((id) => byId.has(id) && !behind.has(id) && byId.get(id)?.op.kind !== "dry")).toEqual(
          [],
        );
      }
  });

  test("what is named on the way lies ready: every paper, and no mix is larger than what is had of it", () => {
    const ready = block(sheet, "HAVE READY");
    const way = sheet.slice(sheet.indexOf("HAVE READY") + ready.length).replace(/\s+/g, " ");
    for (const [paper] of way.matchAll(/\bP\d{2,4}\b/g)) expect(ready).toContain(paper);
    for (const [, grams, what = ""] of way.matchAll(/\bMix ([\d.]+) g of ([^:;]+?)(?:, layer|, in \d|:)/g)) {
      const had = new RegExp(`${what.replace(/[()]/g, "\\$&")} ([\\d.]+) g`).exec(ready)?.[1];
      expect(Number(had)).toBeGreaterThanOrEqual(Number(grams) * 0.99);
    }
  });
});
