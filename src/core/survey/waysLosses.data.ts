import { TYPICAL_FILM_UM } from "../catalogue";
import { plain } from "../units";
import { chip, chipBed } from "./places/chip";
import { corner, cornerAnchors, cornerBed } from "./places/corner";
import { dent } from "./places/dent";
import { groove } from "./places/groove";
import { hole, holeWall } from "./places/hole";
import { overlay, thinBacking } from "./places/overlay";
import { patch } from "./places/patch";
import { colouredFace, newVeneer, sheet } from "./places/sheet";
import { stump, tip, tipCore } from "./places/tip";
import { BOND, bandOf, CA_FILL, caDrop, clearFilm, FILL, filmDrop, filmNote, LEAVE, LET_IN_VENEER, metal, NO_HANDS, opaque, plaster, RAISE_FILMS, REPLACE, type Rows, stripped, veneered, woody } from "./wayParts";
import type { WayFacts } from "./wayRow";

/** A film is filled with its own kind only as deep as it is: as it was measured, else as it usually is; unmeasured polyester may be any thickness. */
const isThroughFilm = ({ film_um, depth_mm }: { readonly film_um?: number; readonly depth_mm: number }, { finish }: WayFacts) => depth_mm > filmMm(film_um, finish.finish);
const filmMm = (film_um: number | undefined, finish: string): number => {
  const usual = finish === "polyester-film" ? undefined : TYPICAL_FILM_UM[finish]?.[0];
  return film_um === 0 ? Infinity : (film_um ?? usual ?? Infinity) / 1000;
};

/** Where the depth was not measured: what furniture veneer is cut to today, mm (EN 635). */
const SAWN_VENEER_MM = 0.6;

/** A wider hole through a shell is closed behind before it is filled, mm; trade practice. */
const BANDAGED_FROM_MM = 25;

/** Ways to meet what is lost or spoilt. */
export const LOSS_WAYS = {
  chip: [
    { ...FILL, places: (d) => [chip(d)] },
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
      places: (d) => [chip(d, { only: { filler: ["wood-inlay"] } }), chipBed(d)],
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
      places: (d) => [corner(d, { around_core: true }), cornerAnchors(d)],
    },
    { ...FILL, places: (d) => [corner(d)] },
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
      places: (d) => [corner(d, { only: { filler: ["wood-inlay"] } }), cornerBed(d)],
    },
    LEAVE,
  ],
  tip: [
    {
      ...FILL,
      way: "build",
      label: "Build it up",
      how: "Set a core, build up around it, shape it.",
      places: (d) => [tip(d), tipCore(d)],
    },
    {
      ...FILL,
      way: "set-next",
      label: "Shape it dry, set it next",
      how: "Model it in putty on film, take it off, set it in a little slow epoxy once it is hard.",
      risk: "A glue line where the other grows out of the break; it comes off again without a trace.",
      not_first: () => "built on the break it holds better",
      places: (d) => [{ ...tip(d), around_core: false }, stump(d)],
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
      places: (d) => [patch("patch", "Patch behind the hole", d.diameter_mm, d.diameter_mm), hole(d)],
    },
    {
      ...FILL,
      way: "bandage",
      label: "Bandage behind and fill",
      how: "Lay wet plaster bandage behind the hole, damp it, fill it in front.",
      fits: (d, f) => f.on.family === "mineral" && d.through && d.diameter_mm >= BANDAGED_FROM_MM,
      places: (d) => [hole(d), { ...patch("bandage", "Bandage behind the hole", d.diameter_mm, d.across_mm ?? d.diameter_mm), takes: ["brace"], only: { brace: ["plaster-bandage"] } }],
    },
    { ...FILL, not_first: (_, f) => (woody(f) && f.service.load ? "a screw works loose in filler: it holds in wood" : undefined), places: (d) => [hole(d, { open_behind: d.through })] },
    {
      way: "plug",
      label: "Let in a plug of leather",
      how: "A patch behind, the hole cut to a clean edge, a plug of the same grain skived and glued in.",
      lost: "a hair of the old edge",
      risk: "A plug that is thicker than its edge prints through.",
      hands_min: [25, 45],
      wait_min: 0,
      fits: (d, f) => f.on.substrate === "leather" && d.through && d.diameter_mm >= 5,
      not_first: () => "sound grain would be cut away",
      places: (d) => [patch("patch", "Patch behind the hole", d.diameter_mm, d.diameter_mm), hole(d, { only: { filler: ["leather-plug"] } })],
    },
    {
      way: "insert",
      label: "Let in a plug",
      how: "Bore it clean, glue in a plug with its grain as the wood around it, plane it flush.",
      lost: "a ring of the old edge",
      risk: "A plug across the grain shows.",
      hands_min: [15, 30],
      wait_min: 0,
      fits: (d, f) => woody(f) && d.diameter_mm >= 4,
      not_first: (_, f) => (f.service.load ? undefined : "sound wood would be bored away"),
      places: (d) => [hole(d, { only: { filler: ["wood-inlay"] } }), holeWall(d)],
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
      places: (d) => [groove(d, "scratch", "The scratch", { kind: "film", takes: ["filler"], ...filmDrop })],
    },
    { ...CA_FILL, fits: (_, f) => clearFilm(f), places: (d) => [groove(d, "scratch", "The scratch", { kind: "film", takes: ["filler"], ...caDrop })] },
    {
      ...FILL,
      way: "spray-cut",
      label: "Spray and cut the face",
      how: "Spray, level what stands up, spray again, until the scratch is closed.",
      risk: "Every cycle takes film off the surroundings; many days.",
      fits: (_, f) => clearFilm(f),
      not_first: () => "the film around it is cut in every cycle",
      places: (d) => [{ ...groove(d, "film", "The film of the face"), kind: "film", takes: ["topcoat"], only: { topcoat: ["clear-lacquer", "shellac-polish"] } }],
    },
    { ...FILL, fits: (_, f) => !clearFilm(f), places: (d) => [groove(d, "loss", "The scratch")] },
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
      way: "mandrel",
      label: "Work it out over a mandrel",
      how: "From inside, over a mandrel or stake that fits, in small moves from the rim to the middle; polish, and lacquer what was bared.",
      lost: "a hair of metal where it is polished",
      risk: "Stretched metal oils back and forth; thin or old brass cracks: stop at the first crease, and refer it.",
      ...NO_HANDS,
      fits: (d, f) => metal(f) && !d.broken,
      places: (d, f) => (f.finish.film ? [colouredFace("Where the lacquer was opened", { length_mm: d.diameter_mm, width_mm: d.across_mm ?? d.diameter_mm }, ["topcoat"], bandOf(f))] : []),
    },
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
      not_first: (d, f) => (isThroughFilm(d, f) ? `the dent is deeper than the film of ${plain(filmMm(d.film_um, f.finish.finish) * 1000)} µm: a body goes in first, the film over it` : undefined),
      places: (d) => [dent(d, { name: "dent", label: "The dent in the film", kind: "film", ...filmDrop })],
    },
    { ...CA_FILL, fits: (d, f) => clearFilm(f) && !d.broken, places: (d) => [dent(d, { name: "dent", label: "The dent in the film", kind: "film", takes: ["filler"], ...caDrop })] },
    {
      ...FILL,
      not_first: (d, f) => (metal(f) && !d.broken ? "metal is worked back, not filled" : clearFilm(f) && !d.broken && !isThroughFilm(d, f) ? "a fill under a clear film shows" : undefined),
      places: (d) => [dent(d)],
    },
    LEAVE,
  ],
  "burn-through": [
    {
      ...LET_IN_VENEER,
      fits: (d, f) => veneered(f) && d.into_core,
      places: (d) => newVeneer({ ...d, thickness_mm: d.depth_mm > 0 ? d.depth_mm : SAWN_VENEER_MM }),
    },
    { ...FILL, label: "Build up the place", places: (d, f) => (d.depth_mm > 0 ? [sheet("loss", "The bare place", d.length_mm, d.width_mm, d.depth_mm)] : [colouredFace("The bare place", d, ["colour", "topcoat"], bandOf(f))]) },
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
      places: (d) => [sheet("loss", "The eroded face", d.length_mm, d.width_mm, d.depth_mm), { ...patch("bandage", "Bandage behind the shell", d.length_mm, d.width_mm), takes: ["brace"], only: { brace: ["plaster-bandage"] } }],
    },
    { ...FILL, label: "Consolidate and build up", not_first: (d, f) => (d.hollow === true || f.hollow ? "a hollow shell breaks under the fill: it is backed first" : undefined), places: (d) => [sheet("loss", "The eroded face", d.length_mm, d.width_mm, d.depth_mm)] },
    LEAVE,
  ],
  "worn-thin": [
    {
      ...FILL,
      way: "overlay",
      label: "Build it up in thin layers",
      how: "Support it, lay it up to the thickness it should have, measure before and after.",
      places: overlay,
    },
    { ...BOND, way: "back", label: "Back it from behind", how: "A fabric behind it, wet through, layer by layer.", not_first: () => "an overlay gives the thickness back", fits: (d) => Math.min(d.length_mm, d.width_mm) >= 15, places: (d) => [thinBacking(d)] },
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
      fits: (d, f) => (f.on.family === "wood" || veneered(f)) && d.through,
      not_first: (_, f) => (stripped(f) || !f.finish.film ? undefined : "the finish there would have to go"),
      places: (d, f) => (stripped(f) ? [colouredFace("The bleached place", d, ["colour", "topcoat"], bandOf(f))] : []),
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
    { ...FILL, way: "colour", label: "Tone it over", how: "Lock it, mute it with opaque colour, coat it.", places: (d, f) => [colouredFace("The stained place", d, opaque(f) ? ["colour"] : ["colour", "topcoat"], bandOf(f))] },
    LEAVE,
  ],
} satisfies Partial<Rows>;
