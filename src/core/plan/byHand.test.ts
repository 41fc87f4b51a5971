import { jobInput, jobOf } from "./jobs.fixture";
import { layersOf } from "./layers";
import type { PlanInput } from "./plan.schema";
import { planned } from "./planCalc";

const CHIP = { kind: "chip", length_mm: 34, depth_mm: 11, thickness_mm: 6 } as const;
type Choose = NonNullable<PlanInput["damages"][number]["choose"]>;
const FILLED: Choose = [{ role: "filler", class: "epoxy-putty" }];

const jar = (choose: Choose, entries: PlanInput["entries"] = []): PlanInput => ({
  piece: { kind: "vessel", parts: [{ id: "rim", substrate: "stoneware", finish: "glaze" }] },
  damages: [{ id: "d1", part: "rim", survey: { damage: CHIP, service: {} }, choose: [...FILLED, ...choose] }],
  stance: "reversible",
  climate: { temp_C: 20, rh_pct: 50 },
  at: "2026-10-07T08:00:00+02:00",
  entries,
});
const coatsOf = (choose: Choose) =>
  jobOf(jar(choose))
    .operations.filter(({ station, starts }) => station === "colour" && starts === "coated")
    .map(({ id, class: name }) => `${id.split("/")[2]} ${name}`);

describe("coats that are set by hand", () => {
  const UNDER = { role: "colour", class: "acrylic-paint", as: "under", coats: 2 } as const;
  const PATTERN = { role: "colour", class: "acrylic-paint", as: "pattern", coats: 1 } as const;
  const LOCK = { role: "topcoat", class: "clear-acrylic", as: "lock", coats: 1 } as const;
  const CLEAR = { role: "topcoat", class: "clear-acrylic", as: "clear", coats: 3 } as const;

  test("stand in their own order, whatever their role, each with its number", () => {
    expect(coatsOf([UNDER, LOCK, PATTERN, CLEAR])).toEqual([
      "under-1 acrylic-paint",
      "under-2 acrylic-paint",
      "lock-1 clear-acrylic",
      "pattern-1 acrylic-paint",
      "clear-1 clear-acrylic",
      "clear-2 clear-acrylic",
      "clear-3 clear-acrylic",
    ]);
  });

  test("each waits for the one before it to be dry", () => {
    const found = jobOf(jar([UNDER, LOCK, PATTERN]));
    const ids = ["under-1", "under-2", "lock-1", "pattern-1"].map((name) => found.op(`colour/${name}`).id);
    for (const [i, id] of ids.entries()) {
      const before = ids[i - 1];
      if (before) expect(found.operations.find((each) => each.id === id)?.after.map(({ op }) => op)).toContain(before);
    }
    expect(found.op("colour/lock-1").after.find(({ op }) => op.includes("under-2"))?.min_min).toBeGreaterThan(0);
  });

  test("what was moved keeps its name: a coat that is done stays done", () => {
    const ids = (choose: Choose) => jobOf(jar(choose)).operations.map(({ id }) => id);
    const before = ids([UNDER, CLEAR]);
    const after = ids([UNDER, PATTERN, CLEAR]);
    expect(after).toEqual(expect.arrayContaining(before.filter((id) => id.includes("colour/under") || id.includes("colour/clear"))));
  });

  test("a role without a row is not wanted: no top coat where none was set", () => {
    expect(coatsOf([{ ...UNDER, coats: 1 }])).toEqual(["under-1 acrylic-paint"]);
  });

  test("without any by hand the route of the finish stands", () => {
    expect(coatsOf([])).toEqual(["under-1", "under-2", "clear-1", "clear-2"].map((name) => expect.stringContaining(name)));
  });
});

describe("two fillers at one place", () => {
  const BODY = { role: "filler", class: "epoxy-putty" } as const;
  const input = (mm?: number): PlanInput => {
    const start = jar([]);
    const [damage] = start.damages;
    if (!damage) throw new Error("no damage");
    return {
      ...start,
      damages: [{ ...damage, choose: [BODY, { role: "filler", class: "fine-surfacer", ...(mm ? { mm } : {}) }] }],
    };
  };

  test("are laid one over the other, the body first, each mixed of its own stuff", () => {
    const found = jobOf(input(0.5));
    const mixes = found.all("fill/mix-").map(({ class: name }) => name);
    const upper = mixes.indexOf("fine-surfacer");
    expect(upper).toBeGreaterThan(0);
    expect(new Set(mixes.slice(0, upper))).toEqual(new Set(["epoxy-putty"]));
    expect(new Set(mixes.slice(upper))).toEqual(new Set(["fine-surfacer"]));
    expect(found.inOrder("fill/mix-1/epoxy-putty", "fill/place-1", `fill/mix-${upper + 1}/fine-surfacer`, "fill/check-fill")).toBe(true);
    expect(found.op("fill/mix-1").mass_g).toBeGreaterThan(found.op(`fill/mix-${upper + 1}`).mass_g ?? 0);
  });

  test("the upper one is as thick as it was set, and both together fill the void", () => {
    const repair = planned(input(0.5));
    const place = repair.places.find(({ id }) => id === "d1/loss");
    if (!place) throw new Error("no place");
    const { layers, proud_mm } = layersOf(
      place,
      repair.links.filter((link) => link.place === place.id && link.role === "filler"),
    );
    expect(layers.map(({ link }) => link.class).at(-1)).toBe("fine-surfacer");
    const body = layers.filter(({ link }) => link.class === "epoxy-putty");
    expect((layers.at(-1)?.surface_mm ?? 0) - proud_mm - (body.at(-1)?.surface_mm ?? 0)).toBeCloseTo(0.5, 6);
    const whole = jobOf(input()).place("d1/loss").volume_cm3 ?? 0;
    expect(layers.reduce((sum, { volume_cm3 }) => sum + volume_cm3, 0)).toBeCloseTo(whole, 6);
  });

  test("places that are filled with other stuff are mixed and checked apart", () => {
    const dish = jobInput(7);
    const [damage] = dish.damages;
    if (!damage) throw new Error("no damage");
    const first = jobOf(dish);
    const slivers = first.places.filter(({ kind }) => kind === "void").map(({ id }) => id);
    const class_ = first.links.find(({ role }) => role === "filler")?.class ?? "epoxy-putty";
    const other = class_ === "bulked-epoxy" ? "epoxy-putty" : "bulked-epoxy";
    const found = jobOf({
      ...dish,
      damages: [
        {
          ...damage,
          choose: slivers.map((place, i) => ({
            role: "filler" as const,
            class: i === 0 ? other : class_,
            place,
            because: "a trial of two",
          })),
        },
      ],
    });
    expect(found.all("fill/mix-1").map(({ class: name, places }) => [name, places.length])).toEqual([
      [other, 1],
      [class_, slivers.length - 1],
    ]);
    const [one, two] = found.all("fill/check-fill");
    expect(one?.places).toEqual(slivers.slice(0, 1));
    expect(two?.places).toEqual(slivers.slice(1));
    for (const place of found.all("fill/place-1")) {
      const mix = found.all("fill/mix-1").find(({ places }) => places.includes(place.places[0] ?? ""));
      expect(place.after.map(({ op }) => op)).toContain(mix?.id);
    }
  });
});

describe("what was found changes what follows", () => {
  const CORNER = jobInput(5);
  const done = (op: string, more: object = {}) => ({ at: "2026-10-07T05:00:00Z", body: { kind: "done", op, ...more } });
  const mix = (n: number) => jobOf(CORNER).op(`fill/mix-${n}`);
  const place = (n: number) => jobOf(CORNER).op(`fill/place-${n}`);
  /** Grams of all that is mixed after the first layer. */
  const later = (job: ReturnType<typeof jobOf>) =>
    job
      .all("fill/mix-")
      .slice(1)
      .reduce((sum, { mass_g = 0 }) => sum + mass_g, 0);

  test("a first layer measured lower leaves more to lay, and says so", () => {
    const low = jobOf({ ...CORNER, entries: [done(place(1).id, { surface_mm: -8 })] });
    expect(later(low)).toBeGreaterThan(later(jobOf(CORNER)) * 1.5);
    expect(low.op("fill/mix-2").why).toMatch(/Layer 1 was measured .* mm lower than planned/);
  });

  test("measured as planned, nothing changes", () => {
    const from = (place(1).thickness_mm ?? 0) - 12.2;
    const same = jobOf({ ...CORNER, entries: [done(place(1).id, { surface_mm: Math.round(from * 100) / 100 })] });
    expect(same.op("fill/mix-2").mass_g).toBeCloseTo(mix(2).mass_g ?? 0, 0);
  });

  test("the last layer measured low gets one more over it, before it is looked at", () => {
    const low = jobOf({ ...CORNER, entries: [done(place(2).id, { surface_mm: -1.5 })] });
    expect(low.has("fill/place-3")).toBe(true);
    expect(low.op("fill/check-fill").after.map(({ op }) => op)).toContain(low.op("fill/place-3").id);
  });

  test("level or proud, nothing more is laid", () => {
    const level = jobOf({ ...CORNER, entries: [done(place(1).id, { surface_mm: 0.3 })] });
    expect(level.has("fill/place-2")).toBe(false);
  });

  test("a batch that was too small ends lower: the next layer takes the rest", () => {
    const parts = [{ name: "A", planned_g: 10, actual_g: 5 }];
    const short = jobOf({ ...CORNER, entries: [done(mix(1).id, { start: { parts } })] });
    expect(later(short)).toBeGreaterThan(later(jobOf(CORNER)) * 1.2);
    expect(short.op("fill/mix-2").why).toContain("What was mixed for layer 1 ends about");
  });

  test("a batch a little larger, or short by what stays on the knife, changes nothing", () => {
    for (const actual_g of [9.5, 10, 13]) {
      const parts = [{ name: "A", planned_g: 10, actual_g }];
      expect(jobOf({ ...CORNER, entries: [done(mix(1).id, { start: { parts } })] }).op("fill/mix-2").mass_g).toBeCloseTo(
        mix(2).mass_g ?? 0,
        9,
      );
    }
  });
});
