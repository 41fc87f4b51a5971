import { finishRow, substrateRow } from "../catalogue";
import { consequences, flagsOf, referrals } from "./consequences";
import { LIMITS } from "./inspection.data";
import type { Damage } from "./measures.data";

const stoneware = substrateRow("stoneware");
const glaze = finishRow("glaze");
const say = (damage: Damage, on = stoneware, finish = glaze) => consequences({ service: {}, damage }, on, finish).map(({ text }) => text);

describe("what the measures of each kind tell", () => {
  test.each<[string, Damage, RegExp | null]>([
    ["a long tip needs a core: 24 / 12 = twice its base", { kind: "tip", base_mm: 12, length_mm: 24 }, /core: the tip is 2 times as long/],
    ["a stub does not: 15 / 12", { kind: "tip", base_mm: 12, length_mm: 15 }, null],
    ["a slope of 160 on 20 is 1 : 8", { kind: "break-along", slope_mm: 160, height_mm: 20, width_mm: 20 }, /1 : 8: glued well/],
    ["a slope of 60 on 20 is only 1 : 3", { kind: "break-along", slope_mm: 60, height_mm: 20, width_mm: 20 }, /is 1 : 3, short/],
    ["a load across the grain asks Join", { kind: "break-across", load_N: 40, lever_mm: 100 }, /End grain holds little/],
    ["no load asks nothing", { kind: "break-across" }, null],
    [
      "a swollen core stands up again",
      { kind: "veneer-lifted", length_mm: 60, width_mm: 40, thickness_mm: 0.6, swelling_mm: 1.2 },
      /stands up again/,
    ],
    ["a flat core does not", { kind: "veneer-lifted", length_mm: 60, width_mm: 40, thickness_mm: 0.6, swelling_mm: 0 }, null],
    [
      "a swollen bed is cut back",
      { kind: "veneer-lost", length_mm: 60, width_mm: 40, thickness_mm: 0.6, swelling_mm: 0.8 },
      /Cut the swollen core back/,
    ],
    [
      "a scratch of 0.15 goes through a film of 120 µm",
      { kind: "scratch", length_mm: 30, width_mm: 0.3, depth_mm: 0.15, film_um: 120 },
      /through the film/,
    ],
    ["a scratch of 0.08 stays in it", { kind: "scratch", length_mm: 30, width_mm: 0.3, depth_mm: 0.08, film_um: 120 }, null],
    ["a bare surface has no film to go through", { kind: "scratch", length_mm: 30, width_mm: 0.3, depth_mm: 0.3, film_um: 0 }, null],
    ["whole fibres may come up", { kind: "dent", diameter_mm: 12, depth_mm: 1, broken: false }, /damp heat/],
    ["broken ones do not", { kind: "dent", diameter_mm: 12, depth_mm: 1, broken: true }, null],
    [
      "what flexes is backed first",
      { kind: "worn-thin", length_mm: 30, width_mm: 20, remaining_mm: 0.5, target_mm: 1.2, flexes: true, cracked: false },
      /Support it from behind/,
    ],
    [
      "a stain under the finish is not polished out",
      { kind: "stain", length_mm: 30, width_mm: 20, through: true },
      /Polishing won’t reach it/,
    ],
    [
      "a cause that goes on is stopped first",
      { kind: "eroded", length_mm: 30, width_mm: 20, depth_mm: 5, cause_present: true },
      /Stop the cause first/,
    ],
  ])("%s", (_, damage, words) => {
    const said = say(damage);
    if (words) expect(said).toContainEqual(expect.stringMatching(words));
    else expect(said).toEqual([]);
  });
});

describe("in which order it is told", () => {
  const all = consequences(
    {
      service: { wet: true, load: true },
      earlier_glue: "epoxy",
      limits: { [LIMITS.find(({ level }) => level === "refer")?.limit ?? ""]: true },
      inspected: { tap: "dull" },
    },
    substrateRow("terracotta"),
    glaze,
  );

  test("what stops the work stands first, then what comes before it, then what shapes it", () => {
    const weights = all.map(({ weight }) => weight);
    expect(weights[0]).toBe("refer");
    expect(weights).toEqual([...weights].sort((a, b) => ["refer", "first", "then"].indexOf(a) - ["refer", "first", "then"].indexOf(b)));
  });

  test("each says which answer it comes from", () => {
    for (const { because } of all) expect(because.length).toBeGreaterThan(2);
    expect(all).toContainEqual(
      expect.objectContaining({
        text: expect.stringMatching(/^Take the old repair off:/),
        because: "earlier glue: epoxy",
        weight: "first",
      }),
    );
  });
});

describe("a dull sound", () => {
  test("of porous ware is hollowness, and Match is told", () => {
    expect(flagsOf({ tap: "dull" })).toEqual({ hollow: true });
    expect(flagsOf({ tap: "rings" })).toEqual({});
  });

  test("of dense ware is a crack that is not seen, never hollowness", () => {
    expect(flagsOf({ ring: "dull" })).toEqual({});
    const chip: Damage = { kind: "chip", length_mm: 12, depth_mm: 4, thickness_mm: 3 };
    const said = consequences({ service: {}, inspected: { ring: "dull" }, damage: chip }, substrateRow("porcelain"), glaze);
    expect(said).toContainEqual(expect.objectContaining({ text: expect.stringMatching(/a crack you do not see/), because: "ring: dull" }));
  });
});

test("the limits that say stop are said in words; none is none", () => {
  expect(referrals({})).toEqual([]);
  for (const { limit, level, says } of LIMITS) {
    const said = referrals({ limits: { [limit]: true } });
    if (level === "refer") expect(said).toEqual([says]);
    else expect(said).toEqual([]);
  }
});

test("a finish that must stay has its solvents named", () => {
  const said = consequences({ service: {}, finish_survives: true }, substrateRow("hardwood"), finishRow("shellac"));
  expect(said).toContainEqual(expect.objectContaining({ text: expect.stringMatching(/^Shellac stays: its solvents \(/) }));
  expect(consequences({ service: {}, finish_survives: true }, substrateRow("hardwood"), finishRow("none"))).toEqual([]);
});
