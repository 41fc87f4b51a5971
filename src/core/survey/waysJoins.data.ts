import { plain } from "../units";
import { CLOSED_FILM_MM, gapOf, sectionOf } from "./place";
import { core, crackCleats } from "./places/core";
import { crackFaces, GLUE_LINE_MM, GLUE_PLAY_MM, HAIRLINE_MM, hairlineFaces, looseFaces, memberFaces, slipFaces } from "./places/faces";
import { groove, openCrack } from "./places/groove";
import { shards } from "./places/shards";
import { flatBed, newVeneer, sheet } from "./places/sheet";
import { tear } from "./places/tear";
import { BOND, FILL, LEAVE, LET_IN_VENEER, NO_GRAIN_SHOWS, NO_HANDS, onlyNeeded, opaque, REPLACE, type Rows, unlessNeeded, woody } from "./wayParts";
import type { TakenPlace, WayFacts } from "./wayRow";

/** Wood is laid bare where a slot is cut: half the width of the member, three heights past each end of the break. */
function slotted(d: Parameters<typeof sectionOf>[0], f: WayFacts, slope_mm = 0): Partial<TakenPlace> {
  const { width, height } = sectionOf(d);
  return woody(f) ? { hidden: false, opening_mm2: (width / 2) * (6 * height + slope_mm) } : {};
}

/** Ways to meet what has come apart. */
export const JOIN_WAYS = {
  shards: [
    {
      ...BOND,
      label: "Rejoin the shards",
      how: "Clean, dry run, join in sittings; slivers that are lost are filled.",
      places: shards,
    },
    { ...LEAVE, how: "Keep the shards in a tray, each bagged, in the order they lie." },
  ],
  "break-along": [
    { ...BOND, not_first: (d, f) => (gapOf(d) && (gapOf(d)?.[1] ?? 0) > GLUE_LINE_MM ? "the faces stay apart: a glue line would not close" : unlessNeeded(d, f)), fits: (d) => (gapOf(d)?.[1] ?? 0) <= GLUE_LINE_MM, places: (d) => memberFaces(d, d.slope_mm) },
    { ...BOND, way: "bridge", label: "Bridge it with thickened glue", how: "Clean, dry run, thickened adhesive that fills the gap, a wrap.", risk: "A thick line is weaker than a closed one.", fits: (d) => (gapOf(d)?.[1] ?? 0) > GLUE_LINE_MM, not_first: unlessNeeded, places: (d) => memberFaces(d, d.slope_mm) },
    {
      way: "brace",
      label: "Glue and brace it",
      how: "Glue it, and let in what carries across the break.",
      lost: "original wood where the brace is let in",
      risk: "Holds a knock that glue alone would not.",
      ...NO_HANDS,
      not_first: onlyNeeded,
      places: (d, f) => [...memberFaces(d, d.slope_mm), core("core", "Brace across the break", { section: sectionOf(d).at, slope_mm: d.slope_mm, ...(sectionOf(d).round ? {} : slotted(d, f, d.slope_mm)) })],
    },
    REPLACE,
    LEAVE,
  ],
  "break-across": [
    { ...BOND, not_first: unlessNeeded, places: (d) => memberFaces(d) },
    {
      way: "brace",
      label: "Glue and brace it",
      how: "Glue it, and let in what carries across the break.",
      lost: "original material where the brace is let in",
      risk: "Holds a knock that glue alone would not.",
      ...NO_HANDS,
      not_first: onlyNeeded,
      places: (d, f) => [...memberFaces(d), core("core", "Brace across the break", { section: sectionOf(d).at, ...slotted(d, f) })],
    },
    REPLACE,
    LEAVE,
  ],
  crack: [
    {
      ...BOND,
      way: "close",
      label: "Close and glue it",
      how: "Work glue in from behind, close it by hand or clamp.",
      risk: "It opens again beside the joint when the room is drier than when you glued.",
      fits: (d) => d.closes && d.closes_by !== "humidity",
      not_first: (d, f) => (woody(f) && f.service.acoustic && d.width_mm > CLOSED_FILM_MM && d.closes_by === undefined ? "forced shut it pulls on the plate: damp air closes it without force" : undefined),
      places: (d, f) => [crackFaces(d), ...crackCleats(d, f)],
    },
    {
      ...BOND,
      way: "humidify",
      label: "Humidify, close and glue it",
      how: "Take the tension off, bring damp air to it until it closes, work glue in, cleats behind.",
      risk: "Damp too long lifts old glue lines: look every day.",
      fits: (d, f) => woody(f) && d.width_mm <= 1,
      hands_min: [30, 60],
      wait_min: 2880,
      places: (d, f) => [crackFaces(d), ...crackCleats(d, f)],
    },
    {
      ...BOND,
      way: "wick",
      label: "Let thin resin be drawn in",
      how: "Warm it, close it behind, set thin resin along it until it takes no more.",
      risk: "What is drawn in does not come out again: what darkens the crack is washed out first.",
      fits: (d) => !d.closes && d.width_mm <= HAIRLINE_MM,
      places: (d) => [hairlineFaces(d)],
    },
    {
      ...BOND,
      way: "slip",
      label: "Let in a slip",
      how: "Open the crack to clean sides, glue in a thin slip of the same wood, plane it flush.",
      lost: "a hair of wood on both sides",
      risk: "A slip across the grain shows.",
      fits: (d, f) => woody(f) && d.width_mm >= 0.5,
      not_first: (d) => (d.closes ? "the crack closes by itself" : undefined),
      hands_min: [40, 90],
      wait_min: 0,
      places: (d) => [slipFaces(d), groove(d, "slip", "The slip", { only: { filler: ["wood-inlay"] }, as: "chip" })],
    },
    {
      ...FILL,
      risk: "The part moves on and the fill shows a line.",
      not_first: (d, f) => (d.closes ? "the crack closes: its faces can be glued" : d.width_mm <= HAIRLINE_MM ? "in a hairline paste stays on top: thin resin is drawn in" : woody(f) && d.width_mm <= 1 ? "damp air may close it" : undefined),
      places: (d) => [openCrack(d)],
    },
    LEAVE,
  ],
  tear: [
    {
      ...BOND,
      way: "back",
      label: "Back and rejoin it",
      how: "A patch behind, the edges laid on it, the rest filled.",
      places: tear,
    },
    { ...REPLACE, label: "Replace the panel" },
    LEAVE,
  ],
  "veneer-lifted": [
    {
      ...BOND,
      way: "reglue",
      label: "Glue it down",
      how: "Glue under it, press it flat under a board.",
      risk: "Over a swollen core it stands up again; brittle veneer cracks when it is pressed.",
      not_first: (d) => (d.swelling_mm > 0 ? `the core is swollen by ${plain(d.swelling_mm, 2)} mm: veneer laid on it stands up again` : undefined),
      places: (d) => [flatBed("Under the loose veneer", d)],
    },
    {
      way: "reveneer",
      label: "Let in new veneer",
      how: "Cut the loose sheet out along the grain, take the core back, let in veneer of the same cut and colour it.",
      lost: "the loose veneer",
      risk: "Needs a matching sheet and a sharp joint; looks best of the three.",
      hands_min: [40, 90],
      wait_min: 0,
      extra_eur: [8, 40],
      not_first: (d, f) => (d.swelling_mm > 0 ? (opaque(f) ? NO_GRAIN_SHOWS : undefined) : "the old veneer lies down again"),
      places: newVeneer,
    },
    {
      way: "cut-fill",
      label: "Cut it out and fill",
      how: "Cut the loose sheet out along the grain, take the core back to sound, fill flush and colour.",
      lost: "the loose veneer",
      risk: "No grain in the fill: from the side the eye finds it.",
      hands_min: [25, 50],
      wait_min: 0,
      not_first: (d, f) => (opaque(f) && d.swelling_mm > 0 ? undefined : "a fill shows no grain"),
      places: (d) => [sheet("loss", "The place cut out", d.length_mm, d.width_mm, d.thickness_mm, { as: "burn-through" })],
    },
    LEAVE,
  ],
  "veneer-lost": [
    { ...LET_IN_VENEER, places: newVeneer },
    {
      way: "cut-fill",
      label: "Fill it",
      how: "Take the core back to sound, fill flush and colour.",
      lost: "nothing that is there",
      risk: "No grain in the fill: from the side the eye finds it.",
      hands_min: [10, 20],
      wait_min: 0,
      not_first: (_, f) => (opaque(f) ? undefined : "a fill shows no grain"),
      places: (d) => [sheet("loss", "The bare place", d.length_mm, d.width_mm, d.thickness_mm, { as: "burn-through" })],
    },
    LEAVE,
  ],
  "loose-joint": [
    { ...BOND, way: "reglue", label: "Clean and reglue it", how: "Old glue out, dry fit, glue, square and lean held.", not_first: (d) => (d.play_mm > GLUE_PLAY_MM ? `${plain(d.play_mm, 2)} mm of play: a glue line takes up ${plain(GLUE_PLAY_MM)}` : undefined), places: (d) => [looseFaces(d, CLOSED_FILM_MM)] },
    {
      ...BOND,
      way: "slip",
      label: "Take up the play with slips",
      how: "Old glue out, glue thin slips of the same wood on the cheeks, fit them dry, glue, square and lean held.",
      risk: "A slip on one side alone moves the shoulder: both sides by half.",
      hands_min: [20, 45],
      fits: (d, f) => woody(f) && d.play_mm > GLUE_PLAY_MM && d.joint !== "dowel",
      places: (d) => [looseFaces(d, CLOSED_FILM_MM)],
    },
    {
      ...BOND,
      way: "wrap",
      label: "Take up the play with a wrap",
      how: "Old glue out, wrap the dowel in thin shavings set in glue, fit it dry, glue, square and lean held.",
      risk: "A wrap too thick splits the socket.",
      hands_min: [15, 35],
      fits: (d, f) => woody(f) && d.play_mm > GLUE_PLAY_MM && d.joint === "dowel",
      places: (d) => [looseFaces(d, CLOSED_FILM_MM)],
    },
    {
      ...BOND,
      way: "bridge",
      label: "Bridge the play with thickened glue",
      how: "Old glue out, thickened adhesive that fills the play, square and lean held.",
      risk: "Never comes apart again without cutting.",
      fits: (d) => d.play_mm > GLUE_PLAY_MM,
      not_first: (_, f) => (woody(f) ? "wood in wood can be opened again, thickened epoxy can't" : undefined),
      places: (d) => [looseFaces(d, d.play_mm / 2, [0, Math.max(d.play_mm / 2, 0.3)])],
    },
    LEAVE,
  ],
} satisfies Partial<Rows>;
