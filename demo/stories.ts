import { plannedSteps } from "../src/core/plan/plan";
import { DAY, type Story } from "./teller";

export const STORIES: readonly Story[] = [
  {
    file: "lemonade-jar",
    title: "Lemonade jar",
    reference: "HF-047",
    kind: "vessel",
    part: "rim",
    substrate: "stoneware",
    finish: "glaze",
    treatment: "rim chip",
    mark: [0.56, 0.17],
    promised: "2026-10-23",
    drawings: [["jar", "before", "rim, raking light from the left", 2 * DAY]],
    survey: {
      damage: { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 },
      service: { touched: true, food: true, wet: true, outdoor: false, load: false, flex: false, acoustic: false, heat_C: 45 },
      finish_survives: true,
      inspected: { raking: "flat", tap: "rings", twin: "none" },
      earlier_glue: "none",
      found: "Salt glaze sound up to the edge. Old wax on the rim, taken off.",
    },
    choose: "epoxy-putty",
    tell: (t) => {
      t.steps("ready", DAY);
      t.layer(1, 84, 5.6);
    },
  },
  {
    file: "cherub-relief",
    title: "Cherub relief",
    reference: "HF-018",
    kind: "relief",
    part: "left wing",
    substrate: "gypsum",
    finish: "none",
    treatment: "wing corner",
    mark: [0.3, 0.3],
    promised: "2026-10-23",
    drawings: [["relief", "before", "front, raking light", DAY]],
    survey: {
      damage: { kind: "corner", a_mm: 42, b_mm: 34, c_mm: 18 },
      service: { touched: false, wet: false, outdoor: false },
      inspected: { raking: "flat", tap: "rings", twin: "there", fingertip: "clean", cheek: "dry" },
      earlier_glue: "animal",
      found: "Clean break, old size on the face.",
    },
    choose: "gypsum-plaster",
    tell: (t) => {
      t.steps("ready", 300);
      t.layer(1, 44);
    },
  },
  {
    file: "figure-hand",
    title: "Figure hand",
    reference: "HF-052",
    kind: "figure",
    part: "ring finger",
    substrate: "soft-metal",
    finish: "none",
    treatment: "ring finger",
    promised: "2026-10-22",
    drawings: [["hand", "before", "palm, even light", 2 * DAY]],
    survey: {
      damage: { kind: "shards", shards: 2, break_length_mm: 14, thickness_mm: 4 },
      service: { touched: true, load: true },
      working_min: 20,
      found: "Break bright, no old glue.",
    },
    choose: "epoxy-slow",
    stance: "service",
    tell: (t) => {
      t.steps("ready", 700);
      t.steps("join", 420, ["clamp", "check", "squeeze-out", "unclamp"]);
      t.clamp(400, "epoxy-slow");
      t.write(390, { kind: "step-done", station: "join", step: "check", hands_min: 2, note: "Marks meet, no creep." });
    },
  },
  {
    file: "booth-counter",
    title: "Booth counter",
    reference: "HF-044",
    kind: "furniture",
    part: "front edge",
    substrate: "veneer-particleboard",
    finish: "lacquer",
    treatment: "knocked edge",
    mark: [0.79, 0.37],
    promised: "2026-10-23",
    drawings: [["counter", "before", "front edge, daylight", 4 * DAY]],
    survey: {
      damage: { kind: "chip", length_mm: 62, depth_mm: 7, thickness_mm: 12 },
      service: { touched: true, load: false },
      inspected: { raking: "flat", tap: "dull", scrape: "single" },
      found: "Board crumbles under the veneer.",
    },
    choose: "polyester-filler",
    stance: "service",
    tell: (t) => {
      t.steps("ready", 2 * DAY);
      t.layer(1, DAY + 300);
      t.write(DAY + 220, { kind: "measured", layer: 1, surface_mm: 0.4 });
      t.write(DAY + 215, { kind: "station-done", station: "fill" });
      t.grits(120, 2);
    },
  },
  {
    file: "carousel-hare",
    title: "Carousel hare",
    reference: "HF-031",
    kind: "figure",
    part: "right ear",
    substrate: "hardwood",
    finish: "paint",
    treatment: "ear tip",
    mark: [0.62, 0.1],
    promised: "2026-10-23",
    drawings: [["hare", "before", "right side, raking light", 5 * DAY]],
    survey: {
      damage: { kind: "tip", base_mm: 14, length_mm: 19, lean_deg: 12 },
      service: { touched: true, outdoor: true, load: false },
      inspected: { raking: "flat", tap: "rings", twin: "there", scrape: "layers" },
      found: "Old nails near the foreleg, left alone.",
    },
    choose: "epoxy-putty",
    stance: "service",
    tell: (t) => {
      t.steps("ready", 4 * DAY);
      t.steps("join", 3 * DAY + 400);
      t.layer(1, 3 * DAY);
      t.write(2 * DAY + 400, { kind: "measured", layer: 1, surface_mm: 0.3 });
      t.write(2 * DAY + 395, { kind: "station-done", station: "fill" });
      t.grits(2 * DAY);
      t.write(2 * DAY - 60, { kind: "station-done", station: "level" });
      t.steps("colour", 180, ["sheen"]);
      t.coat(1, 14);
    },
  },
  {
    file: "carousel-hare-saddle",
    further: "saddle",
    title: "Carousel hare",
    reference: "HF-031",
    kind: "figure",
    part: "saddle cloth",
    substrate: "leather",
    finish: "dye",
    treatment: "torn saddle",
    mark: [0.4, 0.44],
    promised: "2026-10-30",
    drawings: [["hare", "before", "left side, lamp low", 2 * DAY]],
    survey: {
      damage: { kind: "tear", length_mm: 64, thickness_mm: 1.6, flap: false, tension: true },
      service: { touched: true, flex: true, outdoor: true, sprung: true },
      inspected: { raking: "lifted", flex: "gives" },
      limits: { carries_person: false, significant: false },
      found: "Horsehair behind it pushes the edges apart.",
    },
  },
  {
    file: "concertina",
    title: "Concertina",
    reference: "HF-063",
    kind: "cover",
    part: "goatskin bellows",
    substrate: "leather",
    finish: "dye",
    treatment: "moth hole in a fold",
    mark: [0.5, 0.5],
    promised: "2026-10-26",
    drawings: [["bellows", "before", "third fold, light from behind", 2 * DAY]],
    survey: {
      damage: { kind: "hole", diameter_mm: 9, depth_mm: 1, through: true },
      service: { touched: true, flex: true, acoustic: false },
      inspected: { raking: "flat", flex: "firm" },
      found: "Skin supple, edge sound.",
    },
    choose: "flexible-compound",
    tell: (t) => {
      t.steps("ready", DAY);
      t.layer(1, 21);
    },
  },
  {
    file: "organ-pipe",
    title: "Organ pipe",
    reference: "HF-058",
    kind: "instrument",
    part: "front board",
    substrate: "softwood",
    finish: "none",
    treatment: "crack in the front board",
    promised: "2026-10-29",
    drawings: [["pipe", "before", "front, raking light", 300]],
    survey: {
      damage: { kind: "crack", length_mm: 210, width_mm: 0.3, depth_mm: 8, closes: true },
      service: { acoustic: true, touched: false },
      working_min: 2,
      found: "Closes under a clamp; rested two days at 52 % RH.",
    },
  },
  {
    file: "organ-lid",
    title: "Barrel-organ lid",
    reference: "HF-060",
    kind: "panel",
    part: "top",
    substrate: "hardwood",
    finish: "lacquer",
    treatment: "screw hole by the hinge",
    promised: "2026-10-09",
    drawings: [["lid", "before", "top, lamp low", 200]],
  },
  {
    file: "prize-saucer",
    title: "Prize saucer",
    reference: "HF-009",
    kind: "dish",
    part: "whole saucer",
    substrate: "bone-china",
    finish: "glaze",
    treatment: "five shards",
    mark: [0.5, 0.45],
    drawings: [
      ["saucer", "before", "from above, raking light", 9 * DAY],
      ["saucerAfter", "after", "same place, same light", 3 * DAY + 60],
    ],
    survey: {
      damage: { kind: "shards", shards: 5, break_length_mm: 310, thickness_mm: 2.4 },
      service: { touched: false, food: false, wet: true },
      found: "Old yellow glue, soaked out.",
    },
    choose: "acrylic-resin-solvent",
    tell: (t) => {
      t.write(7 * DAY + 60, {
        kind: "shards-mapped",
        count: 5,
        touching: [
          [0, 1],
          [0, 4],
          [1, 2],
          [1, 4],
          [2, 3],
          [2, 4],
          [3, 4],
        ],
        rim: [0, 1, 2, 3, 4],
        places: [
          { x: 0.34, y: 0.32 },
          { x: 0.65, y: 0.37 },
          { x: 0.67, y: 0.68 },
          { x: 0.39, y: 0.74 },
          { x: 0.31, y: 0.54 },
        ],
      });
      t.write(7 * DAY + 40, {
        kind: "dry-run",
        minutes: 4,
        two_marks: true,
        items: [
          { kind: "tape", x: 0.34, y: 0.42 },
          { kind: "tape", x: 0.58, y: 0.4 },
          { kind: "tape", x: 0.5, y: 0.62 },
        ],
        hands_min: 4,
      });
      t.steps("ready", 7 * DAY);
      t.steps("join", 6 * DAY, ["clamp", "unclamp"]);
      t.clamp(6 * DAY - 30, "acrylic-resin-solvent");
      t.write(5 * DAY, { kind: "step-done", station: "join", step: "unclamp", hands_min: 5 });
      t.write(5 * DAY - 5, { kind: "station-done", station: "join" });
      t.write(3 * DAY, {
        kind: "closed",
        notes: "Shard 3 took a second brush of resin, set as usual. Next time tape from both faces.",
        signed_by: "M.",
        hands_min: 20,
        steps: plannedSteps(t.plan),
      });
    },
  },
  {
    file: "practice",
    title: "Practice jar",
    reference: "PRACTICE",
    kind: "vessel",
    part: "rim",
    substrate: "earthenware",
    finish: "glaze",
    treatment: "rim chip",
    drawings: [["practice", "before", "rim, raking light", 5]],
    survey: {
      damage: { kind: "chip", length_mm: 22, depth_mm: 5, thickness_mm: 5 },
      service: { touched: true, food: false, wet: false, outdoor: false, load: false, flex: false, acoustic: false },
      found: "A piece to try things on.",
    },
  },
];
