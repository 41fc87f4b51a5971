import { patchMargin } from "../catalogue";
import { plain } from "../units";
import { CLOSED_FILM_MM, gapOf, sectionOf } from "./place";
import { BOND, bed, core, crackCleats, crackFaces, FILL, GLUE_LINE_MM, GLUE_PLAY_MM, grooveOf, hollow, LEAVE, looseFaces, memberFaces, NO_HANDS, onlyNeeded, REPLACE, type Rows, sheetOf, unlessNeeded, woody } from "./wayParts";
import type { TakenPlace } from "./wayRow";

/** Ways to meet what has come apart. */
export const JOIN_WAYS = {
  shards: [
    {
      ...BOND,
      label: "Rejoin the shards",
      how: "Clean, dry run, join in sittings; slivers that are lost are filled.",
      places: (d) => {
        const gap = gapOf(d);
        const joins: TakenPlace = {
          name: "joins",
          kind: "faces",
          label: `Joins of ${d.shards} shards`,
          area_mm2: d.break_length_mm * d.thickness_mm,
          film_mm: gap ? (gap[0] + gap[1]) / 2 : CLOSED_FILM_MM,
          ...(gap ? { gap_mm: gap } : {}),
          joins: d.shards - 1,
          length_mm: d.break_length_mm,
          section: { width_mm: d.thickness_mm * 4, height_mm: d.thickness_mm },
          takes: ["adhesive"],
        };
        const seam = gap && gap[1] > GLUE_LINE_MM ? [grooveOf({ length_mm: d.break_length_mm, width_mm: (gap[0] + gap[1]) / 2, depth_mm: Math.min(d.thickness_mm, gap[0] + gap[1]) }, "hollows", "Hollows left along the joins", { as: "chip" })] : [];
        const slivers = (d.slivers ?? []).map(({ length_mm, width_mm, depth_mm }, i) =>
          hollow({ name: `sliver-${i + 1}`, label: `Lost sliver ${i + 1}`, solids: [{ shape: "box", length: length_mm, width: width_mm, depth: depth_mm }], depth_mm, opening_mm2: length_mm * width_mm, opening_mm: width_mm, length_mm, width_mm, open_behind: depth_mm >= d.thickness_mm - 1e-9, as: "chip" }),
        );
        return [joins, ...seam, ...slivers];
      },
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
      places: (d) => [...memberFaces(d, d.slope_mm), core("core", "Brace across the break", { section: sectionOf(d).at, slope_mm: d.slope_mm })],
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
      places: (d, f) => [...memberFaces(d), core("core", "Brace across the break", { section: sectionOf(d).at, ...(woody(f) ? { hidden: false, opening_mm2: sectionOf(d).width * sectionOf(d).height * 3 } : {}) })],
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
      way: "slip",
      label: "Let in a slip",
      how: "Open the crack to clean sides, glue in a thin slip of the same wood, plane it flush.",
      lost: "a hair of wood on both sides",
      risk: "A slip across the grain shows.",
      fits: (d, f) => woody(f) && d.width_mm >= 0.5,
      not_first: (d) => (d.closes ? "the crack closes by itself" : undefined),
      hands_min: [40, 90],
      wait_min: 0,
      places: (d) => [{ ...crackFaces(d), label: "Both sides of the slip", area_mm2: 2 * d.length_mm * d.depth_mm }, grooveOf(d, "slip", "The slip", { only: { filler: ["wood-inlay"] }, as: "chip" })],
    },
    { ...FILL, risk: "The part moves on and the fill shows a line.", not_first: (d, f) => (d.closes ? "the crack closes: its faces can be glued" : woody(f) && d.width_mm <= 1 ? "damp air may close it" : undefined), places: (d) => [grooveOf(d, "loss", "The open crack")] },
    LEAVE,
  ],
  tear: [
    {
      ...BOND,
      way: "back",
      label: "Back and rejoin it",
      how: "A patch behind, the edges laid on it, the rest filled.",
      places: (d) => {
        const lost = d.lost_mm ?? 0;
        const margin = patchMargin(d.length_mm);
        const backing: TakenPlace = { name: "patch", kind: "backing", label: "Patch behind the tear", length_mm: d.length_mm + 2 * margin, width_mm: lost + 2 * margin, area_mm2: (d.length_mm + 2 * margin) * (lost + 2 * margin), film_mm: CLOSED_FILM_MM, hidden: true, takes: ["adhesive", "brace"] };
        if (lost <= 0) return [backing];
        return [backing, hollow({ name: "gap", label: "The lost strip", solids: [{ shape: "box", length: d.length_mm, width: lost, depth: d.thickness_mm }], depth_mm: d.thickness_mm, opening_mm2: d.length_mm * lost, opening_mm: lost, length_mm: d.length_mm, width_mm: lost })];
      },
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
      places: (d) => [{ name: "bed", kind: "faces", label: "Under the loose veneer", area_mm2: d.length_mm * d.width_mm, film_mm: CLOSED_FILM_MM, length_mm: d.length_mm, width_mm: d.width_mm, takes: ["adhesive"] }],
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
      not_first: (d) => (d.swelling_mm > 0 ? undefined : "the old veneer lies down again"),
      places: bed,
    },
    {
      way: "cut-fill",
      label: "Cut it out and fill",
      how: "Cut the loose sheet out along the grain, take the core back to sound, fill flush and colour.",
      lost: "the loose veneer",
      risk: "No grain in the fill: from the side the eye finds it.",
      hands_min: [25, 50],
      wait_min: 0,
      not_first: () => "a fill shows no grain",
      places: (d) => [sheetOf("loss", "The place cut out", d.length_mm, d.width_mm, d.thickness_mm, { as: "burn-through" })],
    },
    LEAVE,
  ],
  "veneer-lost": [
    { way: "reveneer", label: "Let in new veneer", how: "Square the edges, let in veneer of the same cut, colour it.", lost: "a thin line of the old edge", risk: "Needs a matching sheet and a sharp joint.", hands_min: [30, 75], wait_min: 0, extra_eur: [8, 40], places: bed },
    {
      way: "cut-fill",
      label: "Fill it",
      how: "Take the core back to sound, fill flush and colour.",
      lost: "nothing that is there",
      risk: "No grain in the fill: from the side the eye finds it.",
      hands_min: [10, 20],
      wait_min: 0,
      not_first: () => "a fill shows no grain",
      places: (d) => [sheetOf("loss", "The bare place", d.length_mm, d.width_mm, d.thickness_mm, { as: "burn-through" })],
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
