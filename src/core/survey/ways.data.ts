import { type DamageKind, patchMargin } from "../catalogue";
import { plain } from "../units";
import type { DamageOf } from "./measures.data";
import { CLOSED_FILM_MM, gapOf, sectionOf } from "./place";
import { cornerDepth } from "./solids";
import type { Solid } from "./volume.schema";
import type { TakenPlace, WayFacts, WayRow } from "./wayRow";

type Rows = { readonly [K in DamageKind]: readonly WayRow<K>[] };

const NO_HANDS = { hands_min: [0, 0], wait_min: 0 } as const;
const KEPT = "only what its chain asks to be kept.";

const LEAVE = { way: "leave", label: "Leave it", how: "Record it, guard it, look again in a year.", lost: "nothing", risk: "It may go on; say to the owner how it is handled.", hands_min: [5, 15], wait_min: 0, not_first: () => "nothing would be mended" } as const;
const REPLACE = {
  way: "replace",
  label: "Replace the part",
  how: "Make a new part off the twin or a drawing, fit it, keep the old one bagged and labelled.",
  lost: "the original part",
  risk: "Strong and quick to judge, but it is no longer the original; colour has to be built up on all of it.",
  hands_min: [240, 540],
  wait_min: 2880,
  not_first: () => "the original part would be gone",
} as const;
const FILL = { way: "fill", label: "Fill it", how: "Clean, fill, level, colour.", lost: "nothing that is there", risk: KEPT, ...NO_HANDS } as const;
const BOND = { way: "bond", label: "Glue it", how: "Clean, dry run, glue, clamp.", lost: "nothing", risk: KEPT, ...NO_HANDS } as const;

type Void = Pick<TakenPlace, "name" | "label" | "solids" | "depth_mm" | "opening_mm2" | "opening_mm"> & Partial<TakenPlace>;
const hollow = (place: Void): TakenPlace => ({ kind: "void", takes: ["filler"], ...place });
/** A gap under this stays a glue line and is not filled by itself, mm; trade practice. */
const GLUE_LINE_MM = 0.5;
/** How deep the seam of an open joint is cleared and filled, in its mean widths; trade practice. */
const SEAM_DEPTHS = 2;

/** The broken section of a member, its slope counted in its length; round ones as ellipses. */
function memberFaces(d: DamageOf<"break-along"> | DamageOf<"break-across">, slope_mm = 0): TakenPlace[] {
  const { width, height, round, at } = sectionOf(d);
  const run = slope_mm > 0 ? Math.hypot(slope_mm, height) : height;
  const gap = gapOf(d);
  const film = gap ? (gap[0] + gap[1]) / 2 : CLOSED_FILM_MM;
  const area = round ? (Math.PI / 4) * width * run : width * run;
  const outline = round ? ellipsePerimeter(width, run) : 2 * (width + run);
  const faces: TakenPlace = { name: "joint", kind: "faces", label: "Faces of the break", area_mm2: area, film_mm: film, ...(gap ? { gap_mm: gap } : {}), section: at, ...(slope_mm > 0 ? { slope_mm } : {}), takes: ["adhesive"] };
  if (!gap || gap[1] <= GLUE_LINE_MM) return [faces];
  const seam: Solid = { shape: "uGroove", length: outline, width: film, depth: SEAM_DEPTHS * film };
  return [faces, hollow({ name: "hollows", label: "Hollows left along the joint", solids: [seam], depth_mm: SEAM_DEPTHS * film, opening_mm2: outline * film, opening_mm: film, length_mm: outline, width_mm: film })];
}

/** Ramanujan's first approximation of the perimeter of an ellipse with these diameters. */
function ellipsePerimeter(a: number, b: number): number {
  return (Math.PI / 2) * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
}

const core = (name: string, label: string, over: Partial<TakenPlace> = {}): TakenPlace => ({ name, kind: "core", label, hidden: true, takes: ["brace"], ...over });

const CHIP_SOLID = {
  shell: (length: number, depth: number, thickness: number): Solid => ({ shape: "edgeChip", length, depth, thickness }),
  wedge: (length: number, depth: number, thickness: number): Solid => ({ shape: "vGroove", length: thickness, width: length, depth }),
  straight: (length: number, depth: number, thickness: number): Solid => ({ shape: "box", length, width: thickness, depth }),
} as const;

const chipVoid = ({ length_mm, depth_mm, thickness_mm, shape = "shell" }: DamageOf<"chip">): TakenPlace =>
  hollow({ name: "loss", label: "The chip", solids: [CHIP_SOLID[shape](length_mm, depth_mm, thickness_mm)], depth_mm, opening_mm2: length_mm * thickness_mm, opening_mm: depth_mm, length_mm, width_mm: thickness_mm });

const cornerVoid = ({ a_mm, b_mm, c_mm }: DamageOf<"corner">, over: Partial<TakenPlace> = {}): TakenPlace => {
  const depth_mm = cornerDepth(a_mm, b_mm, c_mm);
  return hollow({ name: "loss", label: "The lost corner", solids: [{ shape: "corner", a: a_mm, b: b_mm, c: c_mm }], depth_mm, opening_mm2: (a_mm * b_mm + b_mm * c_mm + a_mm * c_mm) / 2, opening_mm: depth_mm, ...over });
};

const tipSolid = ({ base_mm, length_mm, shape = "pointed" }: DamageOf<"tip">): Solid => (shape === "pointed" ? { shape: "cone", diameter: base_mm, height: length_mm } : { shape: "frustum", diameter1: base_mm, diameter2: base_mm / 2, height: length_mm });

const sheetOf = (name: string, label: string, length_mm: number, width_mm: number, depth_mm: number, over: Partial<TakenPlace> = {}): TakenPlace =>
  hollow({ name, label, solids: depth_mm > 0 ? [{ shape: "sheet", area_mm2: length_mm * width_mm, depth: depth_mm }] : [], depth_mm, opening_mm2: length_mm * width_mm, opening_mm: depth_mm, length_mm, width_mm, ...over });

const patch = (name: string, label: string, length: number, width: number): TakenPlace => {
  const margin = patchMargin(Math.max(length, width));
  return { name, kind: "backing", label, area_mm2: (length + 2 * margin) * (width + 2 * margin), film_mm: CLOSED_FILM_MM, length_mm: length + 2 * margin, width_mm: width + 2 * margin, hidden: true, takes: ["adhesive", "brace"] };
};

const grooveOf = ({ length_mm, width_mm, depth_mm }: { length_mm: number; width_mm: number; depth_mm: number }, name: string, label: string, over: Partial<TakenPlace> = {}): TakenPlace =>
  hollow({ name, label, solids: [{ shape: "vGroove", length: length_mm, width: width_mm, depth: depth_mm }], depth_mm, opening_mm2: length_mm * width_mm, opening_mm: width_mm, length_mm, width_mm, ...over });

const crackFaces = ({ length_mm, depth_mm }: DamageOf<"crack">): TakenPlace => ({ name: "joint", kind: "faces", label: "Faces of the crack", area_mm2: length_mm * depth_mm, film_mm: CLOSED_FILM_MM, length_mm, depth_mm, takes: ["adhesive"] });
const crackCleats = (d: DamageOf<"crack">, f: WayFacts): TakenPlace[] => (f.on.family === "wood" || f.on.family === "board" ? [core("cleats", "Cleats behind the crack", { length_mm: d.length_mm, depth_mm: d.depth_mm, takes: ["brace", "adhesive"] })] : []);

const woody = ({ on }: WayFacts) => on.family === "wood" || on.family === "board";
const plaster = ({ on }: WayFacts) => on.substrate === "gypsum" || on.substrate === "composition";
const unlessNeeded = (_: unknown, { brace }: WayFacts) => (brace === "yes" ? "the glue line alone does not carry what is asked" : undefined);
const onlyNeeded = (_: unknown, { brace }: WayFacts) => (brace === "yes" ? undefined : "the glue line carries it: original wood stays");

/** Swollen core under a sheet is taken back before anything new is laid. */
const bed = ({ length_mm, width_mm, thickness_mm }: DamageOf<"veneer-lifted"> | DamageOf<"veneer-lost">): TakenPlace[] => [
  { name: "bed", kind: "faces", label: "Bed of the new veneer", area_mm2: length_mm * width_mm, film_mm: CLOSED_FILM_MM, length_mm, width_mm, takes: ["adhesive"] },
  sheetOf("sheet", "The new veneer", length_mm, width_mm, thickness_mm, { only: { filler: ["veneer-sheet"] }, as: "veneer-lost" }),
];

const RAISE_FILMS = ["shellac", "lacquer", "polyester-film", "paint", "gilding"];
const filmNote = ({ finish }: WayFacts) => `steam and heat cloud ${finish.label.toLowerCase()} for good`;
const filmDrop = { only: { filler: ["spray-film", "polyester-drop"] } } as const;
const FILM_KINDS = ["lacquer", "polyester-film", "shellac"];
const clearFilm = ({ finish }: WayFacts) => FILM_KINDS.includes(finish.finish);

const tenon = (d: DamageOf<"loose-joint">): { area: number; at: ReturnType<typeof sectionOf> } => {
  const at = sectionOf(d);
  // cheeks of a tenon hold, its end grain does not; a dowel all round; a mitre by its face
  const area = d.joint === "mitre" ? at.width * d.depth_mm : at.round ? Math.PI * at.width * d.depth_mm : 2 * at.width * d.depth_mm;
  return { area, at };
};
const looseFaces = (d: DamageOf<"loose-joint">, film_mm: number, gap?: readonly [number, number]): TakenPlace => {
  const { area, at } = tenon(d);
  return { name: "joint", kind: "faces", label: d.joint === "mitre" ? "Faces of the mitre" : `${d.joint === "dowel" ? "Dowel" : "Tenon"} and socket`, area_mm2: area, film_mm, ...(gap ? { gap_mm: gap } : {}), section: at.at, depth_mm: d.depth_mm, takes: ["adhesive"] };
};
/** Play that a glue line takes up, and that a slip does; mm both sides together. FPL Wood Handbook 2021, ch. 10; trade practice. */
const GLUE_PLAY_MM = 0.2;

/** The ways that practitioners choose between, for each kind: the least that holds first, leaving it always last. */
export const WAYS: Rows = {
  chip: [
    { ...FILL, places: (d) => [chipVoid(d)] },
    {
      way: "insert",
      label: "Let in a piece of wood",
      how: "Cut the chip to clean edges, let in wood of the same grain.",
      lost: "a thin line of the old edge",
      risk: "Needs matching wood and a sharp joint.",
      hands_min: [30, 60],
      wait_min: 0,
      fits: (_, f) => woody(f),
      not_first: () => "sound wood would be cut away",
      places: (d) => [
        { ...chipVoid(d), only: { filler: ["wood-inlay"] } },
        { name: "bed", kind: "faces", label: "Bed of the piece", area_mm2: d.length_mm * (d.thickness_mm + d.depth_mm), film_mm: CLOSED_FILM_MM, takes: ["adhesive"] },
      ],
    },
    LEAVE,
  ],
  corner: [
    {
      ...FILL,
      way: "anchor",
      label: "Anchor and cast it",
      how: "Drill anchor holes, set stainless screws, make a form, cast it in one pour.",
      risk: "Screws that rust stain through; a dry old face drinks the water and leaves the new part weak.",
      fits: (d, f) => plaster(f) && Math.min(d.a_mm, d.b_mm, d.c_mm) >= 25,
      places: (d) => [
        cornerVoid(d, { around_core: true }),
        core("anchors", "Anchors in the broken face", { only: { brace: ["anchor-screw"] }, depth_mm: cornerDepth(d.a_mm, d.b_mm, d.c_mm), section: { width_mm: [d.a_mm, d.b_mm, d.c_mm].sort((x, y) => x - y)[1] ?? d.a_mm, height_mm: Math.min(d.a_mm, d.b_mm, d.c_mm) } }),
      ],
    },
    { ...FILL, places: (d) => [cornerVoid(d)] },
    {
      way: "insert",
      label: "Let in a piece of wood",
      how: "Plane the break flat, glue on a block of the same grain, shape it.",
      lost: "the broken face",
      risk: "Needs matching wood.",
      hands_min: [40, 90],
      wait_min: 0,
      fits: (_, f) => woody(f),
      not_first: () => "the broken face would be cut away",
      places: (d) => [cornerVoid(d, { only: { filler: ["wood-inlay"] } }), { name: "bed", kind: "faces", label: "Bed of the block", area_mm2: (d.a_mm * d.b_mm * d.c_mm) / 2 / cornerDepth(d.a_mm, d.b_mm, d.c_mm), film_mm: CLOSED_FILM_MM, takes: ["adhesive"] }],
    },
    LEAVE,
  ],
  tip: [
    {
      ...FILL,
      way: "build",
      label: "Build it up",
      how: "Set a core, build up around it, shape it.",
      places: (d) => [
        hollow({ name: "loss", label: "The lost tip", solids: [tipSolid(d)], depth_mm: (d.base_mm * 5) / 12, radial: true, length_mm: d.length_mm, opening_mm2: (Math.PI / 2) * d.base_mm * Math.hypot(d.length_mm, d.base_mm / 2), opening_mm: d.base_mm, around_core: true }),
        core("core", "Core of the tip", { section: { diameter_mm: d.base_mm }, length_mm: d.length_mm, takes: ["brace", "adhesive"], only: { brace: ["metal-wire", "anchor-screw"], adhesive: ["epoxy-slow", "epoxy-fast", "cyanoacrylate"] } }),
      ],
    },
    LEAVE,
  ],
  hole: [
    {
      ...FILL,
      way: "patch",
      label: "Patch and fill it",
      how: "A patch behind, the rest filled flush.",
      fits: (d, f) => f.on.family === "skin" && d.through,
      places: (d) => [patch("patch", "Patch behind the hole", d.diameter_mm, d.diameter_mm), hollow({ name: "loss", label: "The hole", solids: [{ shape: "cylinder", diameter: d.diameter_mm, depth: d.depth_mm }], depth_mm: d.depth_mm, opening_mm2: (Math.PI / 4) * d.diameter_mm ** 2, opening_mm: d.diameter_mm })],
    },
    { ...FILL, places: (d) => [hollow({ name: "loss", label: "The hole", solids: [{ shape: "cylinder", diameter: d.diameter_mm, depth: d.depth_mm }], depth_mm: d.depth_mm, opening_mm2: (Math.PI / 4) * d.diameter_mm ** 2, opening_mm: d.diameter_mm, open_behind: d.through })] },
    {
      way: "insert",
      label: "Let in a plug",
      how: "Bore it clean, glue in a plug with its grain as the wood around it, plane it flush.",
      lost: "a ring of the old edge",
      risk: "A plug across the grain shows.",
      hands_min: [15, 30],
      wait_min: 0,
      fits: (d, f) => woody(f) && d.diameter_mm >= 4,
      not_first: () => "sound wood would be bored away",
      places: (d) => [
        hollow({ name: "loss", label: "The hole", solids: [{ shape: "cylinder", diameter: d.diameter_mm, depth: d.depth_mm }], depth_mm: d.depth_mm, opening_mm2: (Math.PI / 4) * d.diameter_mm ** 2, opening_mm: d.diameter_mm, only: { filler: ["wood-inlay"] } }),
        { name: "bed", kind: "faces", label: "Wall of the hole", area_mm2: Math.PI * d.diameter_mm * d.depth_mm, film_mm: CLOSED_FILM_MM, takes: ["adhesive"] },
      ],
    },
    LEAVE,
  ],
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
  scratch: [
    {
      ...FILL,
      way: "drop-fill",
      label: "Drop-fill the film",
      how: "Lay the film's own kind in the scratch alone, drop on drop, then level and polish.",
      risk: "A drop laid too soon sinks for weeks.",
      fits: (_, f) => clearFilm(f),
      places: (d) => [grooveOf(d, "scratch", "The scratch", { kind: "film", takes: ["filler"], ...filmDrop })],
    },
    {
      ...FILL,
      way: "spray-cut",
      label: "Spray and cut the face",
      how: "Spray, level what stands up, spray again, until the scratch is closed.",
      risk: "Every cycle takes film off the surroundings; many days.",
      fits: (_, f) => clearFilm(f),
      not_first: () => "the film around it is cut in every cycle",
      places: (d) => [{ ...grooveOf(d, "film", "The film of the face"), kind: "film", takes: ["topcoat"], only: { topcoat: ["clear-lacquer", "shellac-polish"] } }],
    },
    { ...FILL, fits: (_, f) => !clearFilm(f), places: (d) => [grooveOf(d, "loss", "The scratch")] },
    {
      way: "polish",
      label: "Polish it out",
      how: "Level the film around it, fine to finer, then polish.",
      lost: "film: as much as the scratch is deep",
      risk: "Edges rub through first; not where the film is thin.",
      hands_min: [25, 60],
      wait_min: 0,
      not_first: (d) => (d.depth_mm * 1000 > d.film_um / 3 ? "it would cost more than a third of the film" : undefined),
    },
    LEAVE,
  ],
  dent: [
    {
      way: "raise",
      label: "Raise it with damp heat",
      how: "A damp cloth and a warm iron, in short touches; let it dry a night between.",
      lost: "nothing, where the finish stands it",
      risk: "Steam clouds shellac and wax; broken fibres stay down.",
      hands_min: [15, 35],
      wait_min: 720,
      fits: (d, f) => woody(f) && !d.broken && !RAISE_FILMS.includes(f.finish.finish),
      not_first: (d, f) => (f.finish.harmed_by.includes("heat") ? filmNote(f) : d.depth_mm > 3 ? "so deep a dent has crushed its fibres" : undefined),
    },
    {
      ...FILL,
      way: "drop-fill",
      label: "Fill the film with its own kind",
      how: "Lay the film's own kind in layers, let it stop shrinking, level and polish.",
      risk: "Levelled too soon it sinks again and shows an edge.",
      fits: (d, f) => clearFilm(f) && !d.broken,
      places: (d) => [hollow({ name: "dent", label: "The dent in the film", kind: "film", solids: [{ shape: "sphericalCap", diameter: d.diameter_mm, height: d.depth_mm }], depth_mm: d.depth_mm, opening_mm2: (Math.PI / 4) * d.diameter_mm ** 2, opening_mm: d.diameter_mm, ...filmDrop })],
    },
    {
      ...FILL,
      not_first: (d, f) => (clearFilm(f) && !d.broken ? "a fill under a clear film shows" : undefined),
      places: (d) => [hollow({ name: "loss", label: "The dent", solids: [{ shape: "sphericalCap", diameter: d.diameter_mm, height: d.depth_mm }], depth_mm: d.depth_mm, opening_mm2: (Math.PI / 4) * d.diameter_mm ** 2, opening_mm: d.diameter_mm })],
    },
    LEAVE,
  ],
  "burn-through": [
    { ...FILL, label: "Build up the place", places: (d) => (d.depth_mm > 0 ? [sheetOf("loss", "The bare place", d.length_mm, d.width_mm, d.depth_mm)] : [{ name: "surface", kind: "surface", label: "The bare place", area_mm2: d.length_mm * d.width_mm * 2, takes: ["colour", "topcoat"] }]) },
    { way: "refinish", label: "Strip and refinish the face", how: "Take the whole face back to bare and build the finish up anew.", lost: "the old finish of the whole face", risk: "Even, but the age of the surface is gone.", hands_min: [300, 720], wait_min: 10_080, not_first: () => "the old finish would be gone" },
    LEAVE,
  ],
  eroded: [
    {
      ...FILL,
      way: "bandage",
      label: "Bandage behind, consolidate, build up",
      how: "Consolidate, lay wet plaster bandage behind the shell, damp it, build up in front.",
      fits: (d, f) => f.on.family === "mineral" && (d.hollow === true || f.hollow),
      places: (d) => [sheetOf("loss", "The eroded face", d.length_mm, d.width_mm, d.depth_mm), { ...patch("bandage", "Bandage behind the shell", d.length_mm, d.width_mm), takes: ["brace"], only: { brace: ["plaster-bandage"] } }],
    },
    { ...FILL, label: "Consolidate and build up", not_first: (d, f) => (d.hollow === true || f.hollow ? "a hollow shell breaks under the fill: it is backed first" : undefined), places: (d) => [sheetOf("loss", "The eroded face", d.length_mm, d.width_mm, d.depth_mm)] },
    LEAVE,
  ],
  "worn-thin": [
    {
      ...FILL,
      way: "overlay",
      label: "Build it up in thin layers",
      how: "Support it, lay it up to the thickness it should have, measure before and after.",
      places: (d, f) => {
        const missing = Math.max(0.1, d.target_mm - d.remaining_mm);
        const overlay = sheetOf("overlay", "The overlay", d.length_mm, d.width_mm, missing, { as: "chip" });
        // a rigid build on what is not skin or paper; those are backed with fabric
        if (f.on.family === "skin" || f.on.family === "paper" || d.cracked) return [patch("patch", "Backing of the thin place", d.length_mm, d.width_mm), ...(f.on.family === "skin" || f.on.family === "paper" ? [] : [overlay])];
        return [f.on.family === "metal" || f.on.family === "polymer" || f.on.family === "bone" ? { ...overlay, only: { filler: ["mma-acrylic"] } } : overlay];
      },
    },
    { ...BOND, way: "back", label: "Back it from behind", how: "A fabric behind it, wet through, layer by layer.", not_first: () => "an overlay gives the thickness back", fits: (d) => Math.min(d.length_mm, d.width_mm) >= 15, places: (d) => [patch("patch", "Backing of the thin place", d.length_mm, d.width_mm)] },
    REPLACE,
    LEAVE,
  ],
  stain: [
    {
      way: "bleach",
      label: "Bleach it",
      how: "Mild acid in coats, rinse, neutralise, dry for two days, then look again.",
      lost: "some colour of the wood around",
      risk: "Pale patches; the finish there has to go first.",
      hands_min: [40, 90],
      wait_min: 2880,
      fits: (d, f) => f.on.family === "wood" && d.through,
      not_first: () => "the finish there would have to go",
    },
    {
      way: "poultice",
      label: "Draw it out with a poultice",
      how: "A wet poultice under film for a day, rinse, dry, look; again if it still comes out.",
      lost: "nothing",
      risk: "It may leave a tide line: poultice the whole piece, never the spot alone.",
      hands_min: [30, 60],
      wait_min: 2880,
      fits: (_, f) => f.on.family === "ceramic" || f.on.substrate === "stone",
    },
    { ...FILL, way: "colour", label: "Tone it over", how: "Lock it, mute it with opaque colour, coat it.", places: (d, f) => [{ name: "surface", kind: "surface", label: "The stained place", area_mm2: d.length_mm * d.width_mm * 2, takes: f.finish.finish === "paint" ? ["colour"] : ["colour", "topcoat"] }] },
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
};
