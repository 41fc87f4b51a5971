import { job, jobInput, jobOf } from "./jobs.fixture";

const between = (value: number | undefined, low: number, high: number) => {
  expect(value).toBeGreaterThanOrEqual(low);
  expect(value).toBeLessThanOrEqual(high);
};

describe("8, cherub on the gate", () => {
  const cherub = job(8);
  test("cause, lead, dry, clean, consolidate, bandage, damp, fill, in this order", () => {
    expect(cherub.inOrder("stop-cause", "lead-test", "dry-out", "ready/clean", "consolidate", "join/back", "fill/damp", "fill/mix-1")).toBe(
      true,
    );
  });
  test("0.80 l in four to six batches of a few hundred grams", () => {
    expect(cherub.place("d1/loss").volume_cm3).toBeCloseTo(800, 6);
    between(cherub.op("fill/mix-1").batches, 4, 6);
    between((cherub.op("fill/mix-1").mass_g ?? 0) / (cherub.op("fill/mix-1").batches ?? 1), 200, 600);
  });
  test("lime is offered; plaster outdoors can be chosen, with a reason that the links keep", () => {
    expect(cherub.taken("d1/loss/filler")).toBe("lime-mortar");
    const input = jobInput(8);
    const [damage] = input.damages;
    const plaster = jobOf({
      ...input,
      damages: damage ? [{ ...damage, choose: [{ role: "filler", class: "gypsum-plaster", because: "under a roof from spring on" }] }] : [],
    });
    expect(plaster.links.find(({ role }) => role === "filler")).toMatchObject({
      class: "gypsum-plaster",
      verdict: "refused",
      overridden: "under a roof from spring on",
    });
    expect(plaster.warnings.map(({ code }) => code)).toContain("overridden");
  });
});

describe("9, relief block corner", () => {
  const block = job(9);
  test("80 × 60 × 50: 40.0 cm³ and 34.6 mm deep, 100 : 60 to 70 by mass, in one pour and a thinner second", () => {
    expect(block.place("d1/loss").volume_cm3).toBeCloseTo(40, 9);
    expect(block.place("d1/loss").depth_mm).toBeCloseTo(34.63, 2);
    const [powder, water] = block.op("fill/mix-1").parts ?? [];
    between((water?.mass_g ?? 0) / (powder?.mass_g ?? 1), 0.6, 0.7);
    expect(block.all("fill/place-")).toHaveLength(1);
    expect(block.has("fill/top-up")).toBe(true);
  });
  test("three stainless screws with their cover, before the form is poured; a corner that powders is damped", () => {
    expect(block.op("join/drill").text).toMatch(/3 anchor holes Ø 5 mm, 24 mm deep/);
    expect(block.op("join/drill").why).toMatch(/\d+ mm of new plaster must cover/);
    expect(block.inOrder("join/set-brace", "fill/damp", "fill/mix-1", "demould")).toBe(true);
  });
  test("dry by thickness squared, tested on the cheek, never by a fixed hour", () => {
    expect(block.op("fill/dry").text).toContain("cold to the cheek");
    const [input] = [jobInput(9)];
    const half = jobOf({
      ...input,
      damages: input.damages.map((each) => ({
        ...each,
        survey: { ...each.survey, damage: { kind: "corner", a_mm: 40, b_mm: 30, c_mm: 25 } },
      })),
    });
    const wait = (found: typeof block) =>
      found.op("fill/check-fill").after.find(({ op }) => op.includes("fill/dry"))?.min_min ??
      found.op("fill/dry").after.find(({ stage }) => stage !== undefined)?.min_min ??
      0;
    expect(block.elapsed_min[0]).toBeGreaterThan(half.elapsed_min[0] * 2);
    expect(wait(block)).toBeGreaterThanOrEqual(wait(half));
  });
});

describe("10, concertina saddle bag", () => {
  const bag = job(10);
  test("a patch of 90 × 32 with round corners, seam side first; three sections of 20 mm, the awkward end first", () => {
    expect(bag.op("cut-patch").text).toContain("90 × 32 mm, corners round");
    expect(bag.op("join/back").text).toContain("seam side first");
    const sections = bag.all("join/bond-");
    expect(sections).toHaveLength(3);
    expect(sections[0]?.text).toMatch(/20 mm, the awkward end first/);
  });
  test("0.144 cm³ of flexible compound in rounds, grain before it skins, dye, finish, dressing last", () => {
    expect(bag.place("d1/gap").volume_cm3).toBeCloseTo(0.144, 9);
    expect(bag.taken("d1/gap/filler")).toBe("flexible-compound");
    expect(bag.all("fill/place-").length).toBeGreaterThan(1);
    expect(bag.inOrder("fill/texture", "dye-1", "finish-1", "close/dress")).toBe(true);
  });
  test("never acetone, never sanded like wood, never a rigid glue", () => {
    expect(bag.words).not.toMatch(/acetone/i);
    expect(bag.has("level/grit-")).toBe(false);
    expect(bag.taken("d1/patch/adhesive")).toBe("flexible-adhesive");
  });
});

describe("11, cast-metal figure", () => {
  const figure = job(11);
  test("0.8 mm over 22 × 8 in one or two thin builds, thickness before and after", () => {
    expect(figure.place("d1/overlay").volume_cm3).toBeCloseTo(0.1408, 4);
    between(figure.all("fill/place-").length, 1, 2);
    expect(figure.inOrder("measure-before", "fill/mix-1", "measure-after", "level/file", "level/grit-", "level/burnish")).toBe(true);
  });
  test("metal is never consolidated; its dust is masked and wet", () => {
    expect(figure.links.some(({ role }) => role === "consolidant")).toBe(false);
    expect(figure.op("level/file").cautions).toContain("dust-metal");
  });
  test("measured short it takes another thin build of its own stuff all over it, measured again; no stopper on bare metal", () => {
    const round = { kind: "round-opened", station: "fill", places: ["d1/overlay"], because: "0.3 mm short", low_mm: 0.3 } as const;
    const again = jobOf({ ...jobInput(11), entries: [{ at: "2026-10-09T09:00:00+02:00", body: round }] });
    const second = again.operations.filter(({ round: of }) => of === 2).map(({ id, class: name }) => `${id} ${name ?? ""}`);
    expect(second.filter((id) => id.includes("/fill/mix-"))).toEqual([expect.stringContaining("r2/fill/mix-1/mma-acrylic")]);
    expect(second.some((id) => id.includes("measure-before"))).toBe(false);
    expect(second.some((id) => id.includes("measure-after"))).toBe(true);
    const [first, more] = [again.op("r1/fill/mix-1").mass_g ?? 0, again.op("r2/fill/mix-1").mass_g ?? 0];
    expect(more / first).toBeGreaterThan(0.3);
    expect(more / first).toBeLessThan(0.6);
  });
});

describe("12, jester figure", () => {
  const jester = job(12);
  test("a blunt finger of 22 mm on 6 mm is 0.363 cm³; three tips are filled from one mix", () => {
    // frustum to half the base: πh(d₁² + d₁d₂ + d₂²)/12
    expect(jester.place("d1/loss").volume_cm3).toBeCloseTo((Math.PI * 22 * (36 + 18 + 9)) / 12 / 1000, 6);
    expect(jester.all("fill/mix-")).toHaveLength(1);
    expect(jester.op("fill/mix-1").portions).toHaveLength(3);
  });
  test("a wire of 1 mm in its hole with a glue of its own; looked at only, so no alarm", () => {
    expect(jester.op("join/fit-brace/d1").text).toMatch(/1 mm thick.*5 mm of it in the hole/);
    expect(jester.taken("d1/core/adhesive")).toBeDefined();
    expect(jester.refer).toEqual([]);
  });
  test("bronze in a clear binder over size, toned down with pigment, then clear", () =>
    expect(jester.inOrder("leaf-1/bronze", "tone-1/tinted-resin", "clear-1")).toBe(true));
});

describe("13, booth front", () => {
  const front = job(13);
  test("nothing water-borne into the fibres, swelling pared dry, then consolidated, light fill of 2.3 mm", () => {
    expect(front.inOrder("ready/pare", "consolidate", "fill/mix-1")).toBe(true);
    expect(front.place("d1/loss").depth_mm).toBeCloseTo(2.3, 9);
    expect(["penetrating-epoxy", "epoxy-wood-putty"]).toEqual([front.taken("d1/loss/consolidant"), front.taken("d1/loss/filler")]);
  });
  test("contact glue for the loose foil; colour before film, feathered outwards", () => {
    expect(front.taken("d1/foil/adhesive")).toBe("contact-adhesive");
    expect(front.inOrder("join/bond-1", "under-1", "clear-1")).toBe(true);
    expect(front.op("clear-1").text).toContain("feathered outwards");
  });
});

describe("14, music-box lid", () => {
  const lid = job(14);
  test("90 µm at 6 µm a cycle is 15 cycles of coat and cut; rubbed out and polished when it has shrunk", () => {
    expect([lid.all("colour/spray-").length, lid.all("colour/cut-").length]).toEqual([15, 15]);
    expect(lid.inOrder("colour/spray-15", "film-wait", "flat-P1500", "gloss-compound")).toBe(true);
    expect(lid.elapsed_min[0]).toBeGreaterThan(7 * 1440);
  });
});

describe("15, lemonade jar", () => {
  const jar = job(15);
  test("a shell of 34 × 11 × 6 is 1.76 cm³, mixed as two equal balls", () => {
    expect(jar.place("d1/loss").volume_cm3).toBeCloseTo((Math.PI / 4) * 34 * 11 * 6 * 0.001, 6);
    expect(jar.op("fill/mix-1").text).toContain("as two equal balls");
  });
  test("beside the glaze no paper touches it", () => {
    for (const { text } of jar.all("level/grit-")) {
      const grade = Number(/P(\d+)/.exec(text)?.[1]);
      expect(text.includes("never touches the glaze")).toBe(grade < 1000);
    }
    expect(jar.inOrder("ready/mask", "fill/blade", "level/grit-")).toBe(true);
  });
});
