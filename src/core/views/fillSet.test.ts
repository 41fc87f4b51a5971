import fc from "fast-check";
import { OVERSIZE_MM, oversizeOf } from "../fill/shaping.data";
import type { EventBody } from "../record/events.schema";
import { cutsOf } from "./cut";
import { entryWords } from "./entryWords";
import { CHOSEN, done, ready, see, type Told } from "./story.fixture";

const set = (over: Partial<Extract<EventBody, { kind: "fill-set" }>>): Told => [650, { kind: "fill-set", damage: "d1", ...over }];
const ids = (told: readonly Told[]) => see(told).acts.map(({ op }) => op.id);
const op = (told: readonly Told[], id: string) => see(told).act(id).op;
const MIX = "r1/fill/mix-1/epoxy-putty";

describe("the two schools", () => {
  test("modelled soft: shaped while it is workable, to the line, and nothing is carved", () => {
    const told = [...CHOSEN, set({ shaping: "model" })];
    const model = op(told, "r1/fill/model/d1");
    expect(model.after.find(({ op: before }) => before === "r1/fill/mix-2/epoxy-putty")).toMatchObject({ closes: "working" });
    expect(ids(told)).not.toContain("r1/fill/carve-hard/d1");
    expect(op(told, "r1/fill/place-2/d1/loss").text).toContain("0.2 mm proud");
  });

  test("built over size: roughed out while firm, carved when hard, looked at after that", () => {
    const told = [...CHOSEN, set({ shaping: "carve" })];
    const order = ids(told).filter((id) => /place-2|blade|carve-hard|check-fill/.test(id));
    expect(order).toEqual(["r1/fill/place-2/d1/loss", "r1/fill/blade/d1", "r1/fill/carve-hard/d1", "r1/fill/check-fill/d1"]);
    expect(op(told, "r1/fill/place-2/d1/loss").text).toContain("1.1 mm proud");
    expect(op(told, "r1/fill/carve-hard/d1").after.some(({ stage }) => stage === "hard" || stage === "full")).toBe(true);
    expect(op(told, MIX).mass_g ?? 0).toBeGreaterThan(0);
    expect(op(told, "r1/fill/mix-2/epoxy-putty").mass_g ?? 0).toBeGreaterThan(op(CHOSEN, "r1/fill/mix-2/epoxy-putty").mass_g ?? 0);
  });

  test("oversize is a tenth of the depth, never less than a knife needs nor more than is worth carving", () => {
    expect([oversizeOf(1), oversizeOf(20), oversizeOf(90)]).toEqual([OVERSIZE_MM[0], 2, OVERSIZE_MM[1]]);
  });

  test("a low spot that is found later is stopped flush, however the loss was shaped", () => {
    const found = done("r1/fill/check-fill/d1", { surface_mm: -0.4 });
    const again: EventBody = { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "low", low_mm: 0.4 };
    const second = ids([...CHOSEN, set({ shaping: "carve", texture: "sponge" }), ...ready, [20, found], [10, again]]).filter((id) =>
      id.startsWith("r2/fill"),
    );
    expect(second.some((id) => /carve-hard|model|texture/.test(id))).toBe(false);
    expect(second.length).toBeGreaterThan(1);
  });
});

test("so much over size that one layer can’t bear it, another layer takes it", () => {
  const thick = see([...CHOSEN, set({ proud_mm: 6 })])
    .acts.map(({ op: each }) => each)
    .filter(({ id }) => id.includes("/fill/place-"));
  expect(thick).toHaveLength(3);
  expect(Math.max(...thick.map(({ thickness_mm = 0 }) => thickness_mm))).toBeLessThan(11);
});

test("a grain is given before it skins, between laying and the look", () => {
  const told = [...CHOSEN, set({ texture: "comb" })];
  const texture = op(told, "r1/fill/texture/d1");
  expect(texture.text).toContain("comb");
  expect(texture.after.map(({ op: before }) => before)).toEqual(
    expect.arrayContaining(["r1/fill/place-2/d1/loss", "r1/fill/mix-2/epoxy-putty"]),
  );
  expect(op(told, "r1/fill/check-fill/d1").after.map(({ op: before }) => before)).toContain("r1/fill/texture/d1");
});

describe("what is known better than proposed", () => {
  test("a volume by clay scales every mix and the drawing’s masses with it", () => {
    const plain = see(CHOSEN);
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 20, noNaN: true }), (cm3) => {
        const told = [...CHOSEN, set({ volumes: [{ place: "d1/loss", cm3, by: "modelling clay" }], extra_pct: 30, proud_mm: 0 })];
        const { worked, acts } = see(told);
        const [cut] = cutsOf(worked, acts);
        const total = (cut?.layers ?? []).reduce((sum, { plan_g = 0 }) => sum + plan_g, 0);
        const shrinks = 1 - (plain.worked.repair.links[0]?.material.shrinkage_pct.reduce((a, b) => a + b, 0) ?? 0) / 200;
        const density = (op(told, MIX).mass_g ?? 0) / (op(told, MIX).volume_cm3 ?? 1);
        // the chip’s own share of depths is found to some 0.05 %
        expect(((total / density) * shrinks) / (cm3 * 1.3)).toBeCloseTo(1, 2);
      }),
      { numRuns: 25 },
    );
  });

  test("what is laid proud and mixed over is as it was set", () => {
    const told = [...CHOSEN, set({ proud_mm: 1.5, extra_pct: 0 })];
    expect(op(told, "r1/fill/place-2/d1/loss").text).toContain("1.5 mm proud");
    expect((op(told, MIX).volume_cm3 ?? 0) / (op(CHOSEN, MIX).volume_cm3 ?? 1)).toBeCloseTo(1 / 1.35, 6);
  });

  test("all of it stands in the record in words", () => {
    const body: EventBody = {
      kind: "fill-set",
      shaping: "carve",
      texture: "stamp",
      proud_mm: 2,
      extra_pct: 20,
      volumes: [{ place: "d1/loss", cm3: 3.2, by: "clay" }],
    };
    expect(entryWords(body, new Map([["d1/loss", "the rim"]]))).toBe(
      "Fill: build over size, carve hard, stamp off the twin, 2 mm proud, 20 % over the need, the rim holds 3.2 cm³ by clay",
    );
  });
});
