import type { ShopHours } from "./clock";
import type { Repair } from "./repair";
import { LIMITS, type SheetRow, type WorkSheet, workSheetOf } from "./workSheet";
import { wrapped } from "./wrapped";

/** Width of the sheet, and of the column with day and hour, characters. */
const WIDTH = 110;
const MARGIN = 17;

/** The work sheet of a repair as text; `at` in ms since the epoch. */
export function shortSheetOf(repair: Repair, title: string, at: number, hours: ShopHours): string {
  const sheet = workSheetOf(repair, title, at, hours);
  return `${[sheet.title.toUpperCase(), ...(sheet.stop ? stopLines(sheet.stop) : bodyLines(sheet))].join("\n")}\n`;
}

/** Nothing is begun where something stops it: why, and what can be chosen. */
const stopLines = ({ because, choose }: NonNullable<WorkSheet["stop"]>): string[] => [
  ...because.flatMap((message) => row("STOP", message)),
  ...row("CHOOSE", choose.join(" · ")),
  ...row("", `Nothing is begun before that. ${LIMITS}`),
];

const bodyLines = ({ heads, minds, sums, have_ready, rows, owner }: WorkSheet): string[] => [
  ...heads.flatMap(({ tag, words }) => row(tag, words)),
  ...minds.flatMap((message) => row("MIND", message)),
  ...row("", sums),
  ...row("HAVE READY", have_ready.join(" · ")),
  "",
  ...rows.flatMap(rowLines),
  "",
  ...row("OWNER", owner.map(({ when, words }) => `${when}: ${words}`).join(" · ")),
  ...row("", LIMITS),
];

const rowLines = ({ day = "", hour, lines, took, guards }: SheetRow): string[] =>
  row(
    `${day.toUpperCase()}`.padEnd(11) + hour.padStart(5),
    [...lines.map(({ text }) => text), `[${took}]`, guards.join(", ").toUpperCase()].join(" ").trimEnd(),
  );

/** A paragraph behind its word in the margin. */
const row = (word: string, text: string): string[] =>
  text === "" ? [] : wrapped(text, WIDTH - MARGIN).map((line, i) => `${(i === 0 ? word : "").padEnd(MARGIN)}${line}`.trimEnd());
