import { DAMAGE_KINDS } from "../catalogue";
import { check } from "../problem";
import type { Damage } from "./measures.data";
import { OPTIONS, optionLabel, optionRow } from "./options.data";
import { DamageSchema } from "./survey.schema";

const LIFTED: Damage = { kind: "veneer-lifted", length_mm: 80, width_mm: 30, thickness_mm: 0.9, swelling_mm: 1.5 };
const ALONG: Damage = { kind: "break-along", slope_mm: 60, width_mm: 24, height_mm: 30 };
const CRACK: Damage = { kind: "crack", length_mm: 200, width_mm: 1.2, depth_mm: 6, closes: false };

const as = (damage: Damage, option: string) => optionRow(damage.kind, option)?.as?.(damage);

test.each(DAMAGE_KINDS)("%s may be left, every way says what is lost and risked, and no name stands twice", (kind) => {
  const rows = OPTIONS[kind];
  expect(rows.some(({ option }) => option === "leave")).toBe(true);
  expect(new Set(rows.map(({ option }) => option)).size).toBe(rows.length);
  for (const { how, lost, risk, hands_min } of rows) {
    expect(how).toMatch(/\.$/);
    expect(lost.length).toBeGreaterThan(3);
    expect(risk).toMatch(/\.$/);
    expect(hands_min).toBeGreaterThanOrEqual(0);
  }
});

test("a swollen lifted veneer cut out and filled is as deep as sheet and swelling; let in anew it is a lost sheet", () => {
  expect(as(LIFTED, "cut-fill")).toEqual({ kind: "burn-through", length_mm: 80, width_mm: 30, depth_mm: 2.4, into_core: true });
  expect(as(LIFTED, "reveneer")).toMatchObject({ kind: "veneer-lost", thickness_mm: 0.9, swelling_mm: 1.5 });
  expect(as(LIFTED, "reglue")).toEqual(LIFTED);
});

test("a long break that is braced is treated as one across; a crack is closed or filled, whatever was found", () => {
  expect(as(ALONG, "brace")).toEqual({ kind: "break-across", width_mm: 24, height_mm: 30 });
  expect(as(CRACK, "close")).toMatchObject({ kind: "crack", closes: true });
  expect(as({ ...CRACK, closes: true }, "fill")).toMatchObject({ kind: "crack", closes: false });
});

test("what is treated in place of the damage is itself a damage that may be surveyed", () => {
  for (const damage of [LIFTED, ALONG, CRACK])
    for (const { as: treated } of OPTIONS[damage.kind]) {
      const found = treated?.(damage);
      if (found) expect(check(DamageSchema, found)).toEqual([]);
    }
});

test("leaving or replacing needs no chain; an option of an older record is still named", () => {
  expect(as(ALONG, "leave")).toBeUndefined();
  expect(as(ALONG, "replace")).toBeUndefined();
  expect(optionLabel("crack", "close")).toBe("Close and glue it");
  expect(optionLabel("crack", "steam-it-shut")).toBe("steam it shut");
});
