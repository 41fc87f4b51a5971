import type { Finish } from "../catalogue";
import type { Job } from "./jobs.fixture";
import { pieceOf, takes } from "./pieces.fixture";

const CHIP = { kind: "chip", length_mm: 20, depth_mm: 6, thickness_mm: 8 } as const;
const wood = (finish: Finish) => pieceOf("hardwood", finish, CHIP);
/** Names of the colour station's operations, in order. */
const walked = ({ operations }: Job): string[] =>
  operations.filter(({ station }) => station === "colour").map(({ id }) => id.split("/")[2] ?? "");
/** The last grit before colour. */
const endsAt = (plan: Job): string | undefined => /P\d+/.exec(plan.all("level/grit").at(-1)?.text ?? "")?.[0];

describe("each finish of hardwood is walked in its own order", () => {
  test.each<[Finish, string, string[]]>([
    [
      "shellac",
      "P400",
      ["dust-off", "sample", "seal-1", "mute-1", "tone-1", "tone-2", "tone-3", "clear-1", "clear-2", "clear-3", "unmask-young", "sheen"],
    ],
    [
      "polyester-film",
      "P400",
      [
        "dust-off",
        "sample",
        "seal-1",
        "mute-1",
        "tone-1",
        "tone-2",
        "clear-1",
        "clear-2",
        "clear-3",
        "unmask-young",
        "film-wait",
        "flat-P1200",
        "gloss-compound",
      ],
    ],
    ["oil", "P240", ["dust-off", "sample", "tone-1", "clear-1", "clear-2", "sheen"]],
    ["wax", "P320", ["dust-off", "sample", "tone-1", "clear-1", "sheen"]],
    ["gilding", "P400", ["dust-off", "sample", "leaf-1", "tone-1", "clear-1", "unmask-young", "sheen"]],
    ["paint", "P320", ["dust-off", "sample", "under-1", "colour-1"]],
    ["none", "P240", []],
  ])("%s: sanded to %s", (finish, grit, order) => {
    const plan = wood(finish);
    expect(endsAt(plan)).toBe(grit);
    expect(walked(plan)).toEqual(order);
  });
});

describe("a coat", () => {
  test("waits for the one below to be dry, within the range of its class", () => {
    const plan = wood("shellac");
    const second = plan.op("clear-2").after.find(({ op }) => op.includes("clear-1"));
    expect(second?.because).toBe("the coat before is dry");
    expect(second?.min_range[0]).toBeLessThan(second?.min_min ?? 0);
    expect(second?.min_range[1]).toBeGreaterThan(second?.min_min ?? Infinity);
  });

  test("dries slower in a cold room", () => {
    const wait = (temp_C: number) =>
      pieceOf("hardwood", "shellac", CHIP, { temp_C })
        .op("clear-2")
        .after.find(({ op }) => op.includes("clear-1"))?.min_min ?? 0;
    expect(wait(14)).toBeGreaterThan(wait(20));
    expect(wait(26)).toBeLessThan(wait(20));
  });

  test("starts a clock of its own, and takes grams", () => {
    for (const coat of wood("shellac").all("colour/clear")) {
      expect(coat.starts).toBe("coated");
      expect(coat.mass_g).toBeGreaterThan(0);
    }
  });

  test("covers what is repaired: four times the face takes about four times the paint", () => {
    const paint = (length_mm: number, depth_mm: number) =>
      pieceOf("hardwood", "paint", { ...CHIP, length_mm, depth_mm }).op("colour-1").mass_g ?? 0;
    expect(paint(40, 12)).toBeGreaterThan(1.5 * paint(20, 6));
  });

  test("is matched in sheen last, when it has cured through: days, not hours", () => {
    const through = wood("shellac").op("sheen").after[0];
    expect(through?.min_min).toBeGreaterThan(2 * 1440);
  });
});

describe("what lies over what", () => {
  test("shellac toner on shellac, lacquer toner on lacquer: neither lifts the other", () => {
    expect([takes(wood("shellac"), "colour"), takes(wood("shellac"), "topcoat")]).toEqual(["shellac-toner", "shellac-polish"]);
    expect([takes(wood("lacquer"), "colour"), takes(wood("lacquer"), "topcoat")]).toEqual(["toner-lacquer", "clear-lacquer"]);
  });

  test("new metal is toned down before its clear coat", () => {
    expect(wood("gilding").inOrder("leaf-1", "tone-1", "clear-1")).toBe(true);
  });

  test("a primer is looked over in raking light and rubbed down before colour, and shows low spots while there is time", () => {
    const plan = wood("paint");
    expect(plan.inOrder("prime-1", "check-prime", "rub-prime", "under-1")).toBe(true);
    expect(plan.op("check-prime").why).toMatch(/goes back to Fill/);
  });

  test("colour is tried on an off-cut before the first coat, whatever the finish", () => {
    for (const finish of ["shellac", "oil", "wax", "gilding", "paint"] as const) {
      const plan = wood(finish);
      expect(plan.op("colour/sample").text).toMatch(/on an off-cut: wet, dry, and under the coat/);
      const first = plan.operations.find(({ starts }) => starts === "coated" && !plan.all("level").some(({ id }) => id === starts));
      expect(first).toBeDefined();
      expect(plan.inOrder("dust-off", "colour/sample")).toBe(true);
    }
  });

  test("a film shrinks for days before it is levelled, and is levelled no coarser than P1200", () => {
    const plan = wood("polyester-film");
    expect(plan.op("film-wait").after[0]?.min_min).toBeGreaterThan(7 * 1440);
    expect(plan.op("flat-P1200").text).toMatch(/wet, a hard block, edges last/);
  });
});

describe("glaze beside a fill", () => {
  const plan = pieceOf("stoneware", "glaze", CHIP);
  const grits = plan.all("level/grit");

  test("papers stay inside the mask at any grade, and what runs out over the line is a cloth", () => {
    for (const { text } of grits.slice(0, -1)) expect(text).toMatch(/inside the mask: it never touches the glaze/);
    expect(grits.at(-1)?.text).toMatch(/^Polish with cloth 6000.*a cloth may touch the glaze/);
  });

  test("the tape is off between them, and is not taken off a second time", () => {
    expect(plan.inOrder("grit-P600", "unmask-glaze", "grit-cloth 6000")).toBe(true);
    expect(plan.has("close/unmask")).toBe(false);
  });

  test("opaque first, then clear: the fill does not grin through", () => {
    expect(plan.inOrder("under-1", "under-2", "clear-1", "clear-2", "sheen")).toBe(true);
  });

  test("dust of ware is silica: every grit says so", () => {
    for (const { cautions } of grits) expect(cautions).toContain("silica");
  });
});

test("a vapour is told at every coat that gives one off, and water-borne paint gives none", () => {
  const plan = wood("shellac");
  for (const coat of plan.all("colour/clear")) expect(coat.cautions).toContain("vapour");
  for (const coat of wood("paint").all("colour/colour")) expect(coat.cautions).not.toContain("vapour");
});

test("the picture after is taken from the same places, when nothing covers the piece any more", () => {
  for (const [finish, unmask] of [
    ["shellac", "unmask-young"],
    ["paint", "close/unmask"],
    ["none", "close/unmask"],
  ] as const) {
    const plan = wood(finish);
    expect(plan.inOrder("photograph", unmask, "photograph-after", "sign")).toBe(true);
    expect(plan.operations.at(-1)?.id).toMatch(/sign$/);
  }
});

describe("leaf is laid by the leaf, on size that has come to tack", () => {
  const gilded = (side_mm: number) =>
    pieceOf(
      "hardwood",
      "gilding",
      { kind: "eroded", length_mm: side_mm, width_mm: side_mm, depth_mm: 1, cause_present: false },
      { choose: [{ role: "colour", class: "metal-leaf" }] },
    );

  test("leaves of 64 cm² for the face that is coloured and 30 % more, when the size has come to tack", () => {
    const plan = gilded(100);
    const [leaf] = plan.all("colour/leaf-1-laid");
    const area_mm2 = plan.places.find(({ id }) => id === leaf?.places[0])?.area_mm2 ?? 0;
    expect(area_mm2).toBeGreaterThanOrEqual(10_000);
    expect(leaf?.text).toContain(`Lay ${Math.ceil((area_mm2 * 1.3) / 6400)} leaves of 80 × 80 mm`);
    expect(leaf?.after).toContainEqual(expect.objectContaining({ op: "r1/colour/leaf-1/metal-leaf", min_min: 180, min_range: [180, 720] }));
    expect(plan.inOrder("colour/leaf-1/", "colour/leaf-1-laid", "colour/tone-1/")).toBe(true);
  });

  test("its price is by the leaf: 3 × 3 times the face costs dozens of leaves more, not grams of size", () => {
    const [small, large] = [gilded(100).cost_eur, gilded(300).cost_eur];
    expect((large[1] ?? 0) - (small[1] ?? 0)).toBeGreaterThan(16 * 3.5);
  });
});
