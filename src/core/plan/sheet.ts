import { CAUTIONS, guardsOf, STATIONS, stationLabel } from "../catalogue";
import { placeSize } from "../survey/place";
import { euros, formatMinutes, grams } from "../units";
import { ownerOf } from "./owner";
import type { Operation } from "./plan.schema";
import type { Repair } from "./repair";

const WIDTH = 110;
/** What is said loudly but stops nothing. */
const MINDED = ["no-load", "too-cold"];
/** Shorter waits pass by themselves, min. */
const SHORTEST_MIN = 8;

/** The repair as a long sheet in plain text: every operation with how much, when, until when, why, and what to mind. */
export function longSheetOf(repair: Repair, title: string): string {
  return `${[...head(repair, title), ...placesPart(repair), ...materialsPart(repair), ...STATIONS.flatMap(({ station }) => stationPart(repair, station)), ...ownerPart(repair), ...cautionsPart(repair)].join("\n")}\n`;
}

const span = ([low, high]: readonly [number, number]) =>
  Math.round(low) === Math.round(high) ? formatMinutes(low) : `${formatMinutes(low)} to ${formatMinutes(high)}`;

function head({ damages, hands_min, elapsed_min, cost_eur, refer }: Repair, title: string): string[] {
  const ways = damages.flatMap(({ id, way, because }) => [
    `Way ${id}: ${way.label}. ${way.how}`,
    ...(because ? wrap(`   ${because}`) : []),
  ]);
  return [
    title,
    "=".repeat(title.length),
    ...ways,
    `Hands ${span(hands_min)}; from first to last ${span(elapsed_min)}; material ${euros(cost_eur)}`,
    ...refer.flatMap(({ code, message }) => wrap(`${MINDED.includes(code) ? "MIND" : "STOP, refer"}: ${message}`)),
    "",
  ];
}

function placesPart({ places }: Repair): string[] {
  return ["PLACES", ...places.map((place) => `  ${place.id.padEnd(16)} ${place.label}${sizeWords(placeSize(place))}`), ""];
}

const sizeWords = (size: string) => (size === "" ? "" : `: ${size}`);

/** Each material once, with what was said for it and against it. */
function materialsPart({ links }: Repair): string[] {
  const groups = new Map<string, string[]>();
  for (const link of links) {
    const { role, material, verdict, overridden, reasons } = link;
    const conditions = reasons.filter(({ effect }) => effect === "if").map(({ text }) => text);
    const refused =
      overridden === undefined
        ? []
        : [
            `Taken against the rules: ${overridden || "no reason given"}.`,
            ...reasons.filter(({ effect }) => effect === "refuse").map(({ text }) => text),
          ];
    const key = `  ${role.padEnd(11)} ${material.name}: ${verdict}${refused.length + conditions.length > 0 ? `\n${[...refused, ...conditions].flatMap((text) => wrap(text, 14)).join("\n")}` : ""}`;
    groups.set(key, [...(groups.get(key) ?? []), link.place]);
  }
  return [
    "MATERIALS",
    ...[...groups].map(([text, at]) => text.replace(/: (fits|fits-if|refused)/, ` at ${[...new Set(at)].join(", ")}: $1`)),
    "",
  ];
}

function stationPart({ operations, damages }: Repair, station: Operation["station"]): string[] {
  const here = operations.filter((operation) => operation.station === station);
  if (here.length === 0) return [];
  return [
    stationLabel(station).toUpperCase(),
    ...here.flatMap((operation) => lines(operation, operations.indexOf(operation) + 1, operations, damages.length > 1)),
    "",
  ];
}

/** For which damages, where there are several. */
function forWhich({ damages }: Operation, several: boolean): string {
  return several && damages.length > 0 ? `[${damages.join(" ")}] ` : "";
}

function lines(operation: Operation, n: number, operations: readonly Operation[], several: boolean): string[] {
  const { round, text, why, done_when, hands_min, status, mind, portions, cautions } = operation;
  const state = status === "open" ? "" : ` [${status}]`;
  const shares = portions ? [`portions: ${portions.map(({ place, mass_g }) => `${place} ${grams(mass_g)}`).join(", ")}`] : [];
  const short = guardsOf(cautions).map((guard) => guard.short);
  const told = [
    when(operation, operations),
    why,
    `Done when ${done_when}.`,
    ...shares,
    ...mind.map((each) => `Mind: ${each.text}`),
    ...(short.length > 0 ? [`Guard: ${short.join("; ")}.`] : []),
  ].filter((each) => each !== "");
  return [
    ...wrap(
      `${String(n).padStart(3)} ${forWhich(operation, several)}${round > 1 ? `(round ${round}) ` : ""}${text}  (${span(hands_min)})${state}`,
      0,
      4,
    ),
    ...told.flatMap((each) => wrap(each, 6)),
  ];
}

/** What an operation waits for by way of others: the longest way there, min. */
function throughOthers(operation: Operation, op: string, operations: readonly Operation[]): number {
  const byId = new Map(operations.map((each) => [each.id, each]));
  const far = (id: string): number =>
    id === op ? 0 : Math.max(-Infinity, ...(byId.get(id)?.after ?? []).map((each) => far(each.op) + each.min_min));
  return Math.max(-Infinity, ...operation.after.filter((each) => each.op !== op).map((each) => far(each.op) + each.min_min));
}

/** A window that differs from maker to maker by half and more is said with its ends. */
const sheetSays = (range: readonly [number, number] | undefined, cures: boolean): string =>
  range && range[1] > range[0] * WIDE ? ` (${span(range)}${cures ? ", by its data sheet" : ""})` : "";
const WIDE = 1.5;

/** From when and until when: only where time decides, and only what is not waited for anyway. */
function when(operation: Operation, operations: readonly Operation[]): string {
  const { after } = operation;
  const binds = after.filter(
    ({ op, min_min, max_min }) => max_min !== undefined || throughOthers(operation, op, operations) < min_min - 1e-9,
  );
  const timed = binds.filter(({ min_min, max_min }) => min_min >= SHORTEST_MIN || max_min !== undefined);
  const words = timed.map(({ op, min_min, min_range, max_min, max_range, closes, because }) => {
    const of = operations.findIndex(({ id }) => id === op) + 1;
    const from =
      min_min >= SHORTEST_MIN
        ? `${formatMinutes(min_min)} after ${of}${min_range[0] !== min_range[1] ? ` (${span(min_range)})` : ""}`
        : `after ${of}`;
    const most = max_min === undefined ? "" : `, at most ${formatMinutes(max_min)} after it${sheetSays(max_range, closes !== undefined)}`;
    return `${from}${most}: ${because}`;
  });
  return words.length > 0 ? `When: ${words.join("; ")}.` : "";
}

function cautionsPart({ operations }: Repair): string[] {
  const used = new Set(operations.flatMap(({ cautions }) => cautions));
  const found = CAUTIONS.filter(({ caution }) => used.has(caution));
  return found.length === 0
    ? []
    : ["CAUTIONS", ...found.flatMap(({ text }) => wrap(`- ${text}`, 2)), "  Safety data sheet, local codes and licensed practice prevail."];
}

function wrap(text: string, indent = 0, hang = indent): string[] {
  const found: string[] = [];
  let line = " ".repeat(indent);
  for (const word of text.split(" ")) {
    if (line.length + word.length + 1 > WIDTH && line.trim() !== "") {
      found.push(line.trimEnd());
      line = " ".repeat(hang);
    }
    line += line.trim() === "" && found.length > 0 ? word : line === " ".repeat(indent) && found.length === 0 ? word : ` ${word}`;
  }
  return [...found, line.trimEnd()];
}

/** A job's file names it: `05-carousel-plinth.json` is "Carousel plinth". */
export function titleOf(file: string): string {
  const words = file
    .replace(/\.json$/, "")
    .replace(/^\d+-/, "")
    .replaceAll("-", " ");
  return file === "-" ? "Work sheet" : words.charAt(0).toUpperCase() + words.slice(1);
}

const WHEN = { today: "From today", full: "From full cure", never: "Never" } as const;

/** What the owner may do, and from when. */
function ownerPart(repair: Repair): string[] {
  return ["THE OWNER", ...ownerOf(repair, false).flatMap(({ when: from, act }) => wrap(`${WHEN[from]}: ${act}`, 2, 4)), ""];
}
