import { type Grade, gradeLabel } from "@/core/catalogue";
import type { Shop } from "@/core/shop/shop.schema";
import type { Weekday } from "@/core/shop/weekdays.data";
import { plain } from "@/core/units";
import { parseNumber } from "../forms/parse";
import type { Read } from "../forms/read";

/** The shop as it is typed: text until it is read. */
export interface ShopFields {
  readonly name: string;
  readonly people: ReadonlyArray<{ readonly called: string }>;
  readonly from: string;
  readonly to: string;
  readonly days: Weekday[];
  readonly closed: ReadonlyArray<{ readonly from: string; readonly to: string; readonly because: string }>;
  readonly time_zone: string;
  readonly units: Shop["units"];
  readonly scale_step_g: string;
  readonly drills_missing: string[];
  readonly jig_mm: string;
  readonly bit_mm: string;
  readonly papers: Grade[];
  /** Sheets that are left, by the label of their grade; empty = not counted. */
  readonly sheets: Readonly<Record<string, string>>;
  readonly clamps: string;
  readonly sensor: Shop["sensor"];
  readonly sounds: boolean;
  readonly flash: boolean;
}

const FIGURES = ["scale_step_g", "jig_mm", "bit_mm", "clamps"] as const;

export function shopFields(shop: Shop): ShopFields {
  const { people, closed, days, drills_missing, papers, scale_step_g, jig_mm, bit_mm, clamps, ...rest } = shop;
  return {
    ...rest,
    people: people.map((called) => ({ called })),
    closed: [...closed],
    days: [...days],
    drills_missing: [...drills_missing],
    papers: (papers as Grade[]).map(({ system, grade }) => ({ system, grade })),
    sheets: Object.fromEntries(
      papers.map((paper) => [gradeLabel(paper as Grade), paper.sheets === undefined ? "" : plain(paper.sheets, 2)]),
    ),
    scale_step_g: plain(scale_step_g, 3),
    jig_mm: plain(jig_mm),
    bit_mm: plain(bit_mm),
    clamps: clamps === 0 ? "" : String(clamps),
  };
}

/** The shop as it is sent. Lines that nothing was typed in are left out. */
export function readShop({ people, closed, sheets, ...typed }: ShopFields): Read<Shop> {
  const errors: Record<string, string> = {};
  const figures = Object.fromEntries(
    FIGURES.map((name) => {
      const parsed = name === "clamps" && typed.clamps.trim() === "" ? { ok: true as const, value: 0 } : parseNumber(typed[name]);
      if (!parsed.ok) errors[name] = parsed.message;
      return [name, parsed.ok ? parsed.value : 0];
    }),
  ) as Record<(typeof FIGURES)[number], number>;
  const papers = typed.papers.map((paper) => {
    const text = sheets[gradeLabel(paper)] ?? "";
    if (text.trim() === "") return paper;
    const parsed = parseNumber(text);
    if (parsed.ok && parsed.value >= 0 && parsed.value <= 10_000) return { ...paper, sheets: parsed.value };
    errors[`sheets.${gradeLabel(paper)}`] = "Enter sheets, 0 to 10 000.";
    return paper;
  });
  if (typed.days.length === 0) errors.days = "Choose at least one day on which someone is here.";
  const shut = closed.filter((each) => each.from !== "" || each.to !== "" || each.because.trim() !== "");
  for (const [i, each] of closed.entries())
    if (shut.includes(each) && (each.from === "" || each.to === ""))
      errors[`closed.${i}.${each.from === "" ? "from" : "to"}`] = "Enter a day.";
  if (Object.keys(errors).length > 0) return { ok: false, errors };
  return {
    ok: true,
    value: {
      ...typed,
      ...figures,
      papers,
      people: people.map(({ called }) => called).filter((called) => called.trim() !== ""),
      closed: shut,
    },
  };
}

/** The list with one put in, or taken out where it is there. */
export function toggled<T>(list: readonly T[], one: T, same: (a: T, b: T) => boolean = Object.is): T[] {
  return list.some((each) => same(each, one)) ? list.filter((each) => !same(each, one)) : [...list, one];
}
