import { classRow, DAMAGE_KINDS } from "../catalogue";
import type { EventBody } from "../record/events.schema";
import { readLog } from "../record/treatment";
import type { Damage } from "../survey/measures.data";
import { OPTIONS } from "../survey/options.data";
import { wall } from "../units";
import { adhesiveNeed, batchFor, checkWeights, potLife } from "./batch";
import { runningCure } from "./clocks";
import { layerRows } from "./layerRows";
import { matchInputOf } from "./matchInput";
import { actAt, briefOf, rulingClock } from "./nextAct";
import { compareOptions } from "./options";
import { planOf } from "./plan";
import { profileOf } from "./profile";
import { routeOf } from "./route";
import { byRank } from "./shelf";
import {
  CHIP,
  CLIMATE,
  coated,
  filling,
  idOf,
  JAR,
  logOf,
  MINUTE,
  matched,
  mixed,
  NOON,
  ready,
  sanded,
  seen,
  surveyed,
  type Tale,
  type Told,
} from "./story.fixture";

describe("the plan", () => {
  test("is not there before the survey", () => {
    expect(planOf(JAR, readLog([]))).toBeUndefined();
  });

  test("lays a deep chip in two layers, and says which stations are not needed", () => {
    const { plan } = seen([
      [9, surveyed()],
      [8, matched],
    ]);
    expect(plan?.fill).toMatchObject({ taken: { class: "epoxy-putty" }, count: 2, proud_mm: 0.4 });
    expect(plan?.stations.join).toMatchObject({ needed: false, note: "nothing to join" });
    expect(plan?.stations.fill).toMatchObject({ needed: true, note: "2 layers" });
    expect(plan?.ladder).toMatchObject({ from: { grade: 120 }, to: { grade: 1200 } });
    expect(plan?.coats.map(({ coat, material }) => `${coat} ${material.class}`)).toEqual([
      "1 acrylic-paint",
      "2 acrylic-paint",
      "3 clear-acrylic",
      "4 clear-acrylic",
    ]);
    expect(plan?.hands_min).toBe(Object.values(plan?.stations ?? {}).reduce((sum, { hands_min }) => sum + hands_min, 0));
    expect(plan?.elapsed_min).toBeGreaterThan(plan?.hands_min ?? 0);
  });

  test("asks for a barrier only where the fill must come off again", () => {
    const steps = (stance: "reversible" | "service") =>
      seen([
        [9, surveyed()],
        [8, { ...matched, stance } as EventBody],
      ]).plan?.stations.ready.steps.map(({ step }) => step);
    expect(steps("reversible")).toContain("barrier");
    expect(steps("service")).not.toContain("barrier");
    expect(steps("service")).toContain("key");
  });

  test("dampens old gypsum before new, and never stoneware", () => {
    const plaster: EventBody = { kind: "matched", stance: "reversible", chain: [{ role: "filler", class: "gypsum-plaster" }] };
    const treatment = readLog(logOf([9, surveyed()], [8, plaster]));
    const steps = (piece: typeof JAR) => planOf(piece, treatment)?.stations.ready.steps.map(({ step }) => step);
    expect(steps({ ...JAR, substrate: "gypsum", finish: "none" })).toContain("dampen");
    expect(steps(JAR)).not.toContain("dampen");
  });

  test("joins what breaks, and fills nothing", () => {
    const shards: EventBody = { kind: "matched", stance: "reversible", chain: [{ role: "adhesive", class: "acrylic-resin-solvent" }] };
    const plan = planOf(
      JAR,
      readLog(logOf([9, surveyed({ kind: "shards", shards: 5, break_length_mm: 310, thickness_mm: 2.4 })], [8, shards])),
    );
    expect(plan?.stations.join.needed).toBe(true);
    expect(["fill", "level", "colour"].map((station) => plan?.stations[station as "fill"].needed)).toEqual([false, false, false]);
    expect(plan?.stations.ready.steps.map(({ step }) => step)).toContain("dry-run");
  });
});

describe("the next act", () => {
  test("leads from survey to match to the first open step", () => {
    expect(seen([]).act).toMatchObject({ state: "go", station: "survey", title: "Survey the damage" });
    expect(seen([[9, surveyed()]]).act).toMatchObject({ station: "match" });
    expect(
      seen([
        [9, surveyed()],
        [8, matched],
      ]).act,
    ).toMatchObject({ station: "ready", title: "Photograph the damage in raking light" });
    expect(seen(filling()).act).toMatchObject({ station: "fill", title: "Mix and lay layer 1" });
  });

  test("follows a layer through its windows", () => {
    const placed: EventBody = { kind: "placed", layer: 1, applied_mm: 5.6 };
    const at = (minutes: number, ...more: Told[]) => seen(filling([0, mixed(1)], ...more), minutes);
    expect(at(2).act).toMatchObject({ state: "go", title: "Place layer 1" });
    expect(at(36).act).toMatchObject({ state: "closing", title: "Place layer 1" });
    expect(at(36, [-10, placed]).act).toMatchObject({ state: "off", title: "Trim layer 1" });
    expect(at(90, [-10, placed]).act).toMatchObject({ state: "go", title: "Trim layer 1" });
    expect(at(104, [-10, placed]).act).toMatchObject({ state: "closing" });
    expect(at(200, [-10, placed]).act).toMatchObject({ state: "off", title: "Mix and lay layer 2" });
    expect(at(700, [-10, placed]).act).toMatchObject({ state: "go", title: "Mix and lay layer 2", station: "fill" });
  });

  test("says never where it does not cure, and closed where it is closed", () => {
    const treatment = readLog(logOf(...filling([60, mixed(1)], [55, { kind: "placed", layer: 1, applied_mm: 5 }])));
    const clock = rulingClock(treatment);
    const cold = clock && runningCure(clock, { constant_C: 4 });
    expect(actAt(briefOf(treatment, planOf(JAR, treatment), cold), NOON)).toMatchObject({
      state: "never",
      why: expect.stringContaining("at least 10 °C"),
    });
    expect(seen(filling([5, { kind: "closed", notes: "", signed_by: "M." }])).act.state).toBe("closed");
  });

  test("walks the ladder, then the coats, then signs", () => {
    const levelled: Tale = filling(
      [200, { kind: "station-done", station: "fill" }],
      ...[120, 180, 280, 400, 600, 1200].map((grade) => [100, sanded(grade)] as const),
    );
    expect(seen(filling([200, { kind: "station-done", station: "fill" }], [100, sanded(120)])).act).toMatchObject({
      station: "level",
      title: "Sand with P180",
    });
    expect(seen(levelled).act).toMatchObject({ station: "level", title: "Leave Level" });
    const coats: Tale = [
      ...levelled,
      [90, { kind: "station-done", station: "level" }],
      [80, { kind: "step-done", station: "colour", step: "dust" }],
    ];
    expect(seen(coats).act.title).toBe("Lay coat 1, acrylic paint and pigments");
    expect(seen([...coats, [10, coated(1)]]).act).toMatchObject({ state: "off", title: "Lay coat 2, acrylic paint and pigments" });
    expect(seen([...coats, [70, coated(1)]]).act).toMatchObject({ state: "go", station: "colour" });
    expect(seen([...coats, [10, { kind: "station-done", station: "colour" }]]).act).toMatchObject({
      station: "close",
      title: "Look it over and sign",
    });
  });
});

describe("the Shelf", () => {
  test("is silent where no clock runs", () => {
    expect(seen(filling()).plate).toBeUndefined();
  });

  test("says hands off until the time, then trim until the time, then no hurry", () => {
    const placed: EventBody = { kind: "placed", layer: 1, applied_mm: 5.6 };
    const at = (minutes: number) => seen(filling([0, mixed(1)], [-5, placed]), minutes).plate;
    expect(at(60)).toMatchObject({ sign: "off", word: "Don’t touch", until: expect.stringMatching(/^trim 13:\d\d to 1[34]:\d\d$/) });
    expect(at(90)).toMatchObject({ sign: "go", word: "Trim now" });
    expect(at(700)).toMatchObject({ sign: "go", word: "Ready to go on", left: "now", until: "no hurry" });
    const used = [50, 60, 70].map((minutes) => at(minutes)?.used ?? 0);
    expect(used).toEqual([...used].sort((a, b) => a - b));
    expect(used.every((share) => share >= 0 && share <= 1)).toBe(true);
  });

  test("puts what closes first, then what opens next, then what has no hurry", () => {
    const plates = [700, 60, 103].map(
      (minutes) => seen(filling([0, mixed(1)], [-5, { kind: "placed", layer: 1, applied_mm: 5 }]), minutes).plate,
    );
    const order = plates.flatMap((plate) => plate ?? []).sort(byRank);
    expect(order.map(({ sign, until }) => `${sign} ${until === "no hurry"}`)).toEqual(["soon false", "off false", "go true"]);
  });
});

test("the route shows what is walked, where it stands, what is not needed, and the waits to come", () => {
  const { treatment, plan, act, now } = seen(filling());
  const stops = routeOf(treatment, plan, act, wall("UTC"), now);
  expect(stops.map(({ status }) => status)).toEqual(["walked", "walked", "walked", "unneeded", "now", "to-come", "to-come", "to-come"]);
  expect(stops[3]?.sub).toBe("nothing to join");
  expect(stops[4]).toMatchObject({ sub: "2 layers", loop: 2, wait: expect.stringMatching(/h/) });
});

test("layers are told as planned and as done; a third one gets a row of its own", () => {
  const { plan, cures, treatment } = seen(
    filling([400, mixed(1)], [390, { kind: "placed", layer: 1, applied_mm: 5.5 }], [300, mixed(2)], [30, mixed(3)]),
  );
  if (!plan?.fill) throw new Error("no fill");
  const rows = layerRows(plan.fill, { cures, placed: treatment.placed, measured: treatment.measured, grams: { 1: 2.02 } });
  expect(rows.map(({ layer }) => layer)).toEqual([1, 2, 3]);
  expect(rows[0]).toMatchObject({ placed_mm: 5.5, grams: 2.02, mixed: NOON - 400 * MINUTE });
  expect(rows[2]?.applied_mm).toBe(rows[1]?.applied_mm);
});

describe("the batch", () => {
  const fill = seen([
    [9, surveyed()],
    [8, matched],
  ]).plan?.fill;
  if (!fill) throw new Error("no fill");

  test("all layers together hold the loss, its proud height and its shrinkage", () => {
    const { need_cm3, total_cm3 } = batchFor(fill, 35, 20);
    const whole = (fill.loss.volume_cm3 + (fill.loss.opening_mm2 * fill.proud_mm) / 1000) / (1 - fill.shrinkage_pct / 100);
    expect(need_cm3 * fill.count).toBeCloseTo(whole, 12);
    expect(total_cm3).toBeCloseTo(need_cm3 * 1.35, 12);
  });

  test("a cold room leaves more time, and so fewer batches", () => {
    expect(potLife(classRow("epoxy-putty"), 13)).toBeGreaterThan(2 * (potLife(classRow("epoxy-putty"), 23) ?? 0) * 0.9);
    expect(potLife(classRow("epoxy-putty"), 23)).toBeCloseTo(34.64, 1);
    expect(potLife(classRow("metal-pin"), 20)).toBeUndefined();
  });

  test("weights are checked once all are there; by volume they are first turned into mass", () => {
    expect(checkWeights(classRow("epoxy-putty"), [1, undefined])).toBeUndefined();
    expect(checkWeights(classRow("pva"), [3])).toBeUndefined();
    expect(checkWeights(classRow("epoxy-putty"), [2.4, 2.31])).toMatchObject({ within_tolerance: true });
    expect(checkWeights(classRow("epoxy-putty"), [2.4, 2])).toMatchObject({
      within_tolerance: false,
      add: [{ name: "B", mass_g: expect.closeTo(0.4, 9) }],
    });
    expect(checkWeights(classRow("epoxy-fast"), [1.17, 1.13])).toMatchObject({ within_tolerance: true, error_pct: expect.closeTo(0, 6) });
  });

  test("a joint takes one film between both faces", () => {
    expect(adhesiveNeed({ joint_mm2: 2000, film_mm: 0.1 })).toBeCloseTo(0.1, 12);
  });
});

test("what Match asks comes from the survey", () => {
  const survey = { damage: CHIP, service: { wet: true }, working_min: 20 };
  expect(matchInputOf(JAR, survey, CHIP, 18.6)).toEqual({
    substrate: "stoneware",
    finish: "glaze",
    damage: { kind: "chip", depth_mm: 11, gap_mm: 11, thickness_mm: 6 },
    service: { wet: true },
    climate_C: 18.6,
    working_min: 20,
  });
});

test("what was found at the inspection is asked of Match too", () => {
  const survey = {
    damage: CHIP,
    service: {},
    inspected: { tap: "dull", raking: "flat" },
    earlier_glue: "epoxy",
    finish_survives: true,
  } as const;
  expect(matchInputOf(JAR, survey, CHIP, 20)).toMatchObject({ found: { hollow: true }, earlier_glue: "epoxy", finish_survives: true });
  expect(
    matchInputOf(JAR, { damage: CHIP, service: {} }, { kind: "crack", length_mm: 90, width_mm: 0.2, depth_mm: 8, closes: true }, 20).damage,
  ).toEqual({
    kind: "crack",
    gap_mm: 0.1,
    depth_mm: 8,
    closes: true,
  });
});

describe("repair, replace or leave", () => {
  const counter = { kind: "furniture", substrate: "veneer-particleboard", finish: "lacquer" } as const;
  const lifted = { kind: "veneer-lifted", length_mm: 120, width_mm: 40, thickness_mm: 0.6, swelling_mm: 0.8 } as const;
  const compared = compareOptions(counter, { damage: lifted, service: { touched: true } }, "service", 20);
  const decided = (option: string) => ({
    ...(surveyed(lifted) as Extract<EventBody, { kind: "surveyed" }>),
    decision: { option, reason: "The owner wants it so." },
  });
  const row = (option: string) => compared.find((each) => each.option === option);

  test("compares hours, days and cost from the same engine", () => {
    expect(compared.map(({ option }) => option)).toEqual(["reglue", "cut-fill", "reveneer", "leave"]);
    for (const { materials, cost_eur, hands_min, elapsed_min } of compared.slice(0, 3)) {
      expect(materials.length).toBeGreaterThan(0);
      expect(cost_eur?.[0]).toBeGreaterThan(0);
      expect(cost_eur?.[1]).toBeGreaterThan(cost_eur?.[0] ?? 0);
      expect(elapsed_min).toBeGreaterThan(hands_min);
    }
    expect(row("leave")).toMatchObject({ materials: [], refused: false, hands_min: 10 });
    expect(row("reveneer")?.hands_min).toBeGreaterThan(row("reglue")?.hands_min ?? 0);
  });

  test("an option that nothing serves says what came nearest and what keeps it out", () => {
    const saddle = { kind: "figure", substrate: "leather", finish: "dye" } as const;
    const tear = { kind: "tear", length_mm: 64, thickness_mm: 1.6, flap: false, tension: true } as const;
    const [back, ...others] = compareOptions(saddle, { damage: tear, service: { outdoor: true, flex: true } }, "reversible", 20);
    expect(back).toMatchObject({ refused: true, refused_because: expect.stringMatching(/^Nearest comes [a-z ]+: [A-Z].+\.$/) });
    expect(others.every(({ refused }) => !refused)).toBe(true);
  });

  test("a swollen core weighs on the option that keeps it", () => {
    const flat = compareOptions(counter, { damage: { ...lifted, swelling_mm: 0 }, service: { touched: true } }, "service", 20);
    expect(row("reglue")?.conditions).toBeGreaterThan(flat[0]?.conditions ?? 0);
  });

  test("every kind of damage may be left, and has at least one other way", () => {
    for (const kind of DAMAGE_KINDS) {
      const options = OPTIONS[kind].map(({ option }) => option);
      expect(options.at(-1)).toBe("leave");
      expect(new Set(options).size).toBe(options.length);
      expect(options.length).toBeGreaterThanOrEqual(2);
    }
  });

  test("what was decided turns what is treated, until the survey changes", () => {
    const told: Tale = [
      [
        30,
        {
          ...decided("cut-fill"),
          decision: { option: "cut-fill", damage: row("cut-fill")?.damage as Damage, reason: "The core is soft." },
        },
      ],
    ];
    expect(readLog(logOf(...told)).damage).toMatchObject({ kind: "burn-through", depth_mm: 1.4 });
    expect(readLog(logOf(...told, [10, surveyed(lifted), idOf(1)])).damage).toEqual(lifted);
  });

  test("left as it is, nothing is planned but to record it and close", () => {
    const { plan, act } = seen([[30, decided("leave")]]);
    const needed = Object.values(plan?.stations ?? {}).filter((station) => station.needed);
    expect(needed.map(({ station }) => station)).toEqual(["survey", "ready", "close"]);
    expect(act).toMatchObject({ station: "ready", title: "Record it, guard it, look again in a year." });
  });
});

describe("steps of one's own, in an order of one's own", () => {
  const base: Tale = [
    [50, surveyed()],
    [40, matched],
  ];
  const own: Told = [
    30,
    { kind: "step-added", station: "ready", step: "own-1", text: "Warm the room", why: "It is cold.", hands_min: 5, wait_min: 60 },
  ];
  const names = (told: Tale) => seen(told).plan?.stations.ready.steps.map(({ step }) => step) ?? [];

  test("an added step is planned with its minutes and its wait", () => {
    expect(names([...base, own]).at(-1)).toBe("own-1");
    const [before, after] = [seen(base), seen([...base, own])].map(({ plan }) => plan?.stations.ready);
    expect((after?.hands_min ?? 0) - (before?.hands_min ?? 0)).toBe(5);
  });

  test("an order that was given holds, and what is new since keeps its neighbour", () => {
    const [first = "", second = "", ...rest] = names(base);
    const turned: Told = [20, { kind: "steps-ordered", station: "ready", order: [second, first, ...rest] }];
    expect(names([...base, turned])).toEqual([second, first, ...rest]);
    expect(names([...base, turned, [10, own[1]]])).toEqual([second, first, ...rest, "own-1"]);
  });

  test("a form, a dry run, shards and a brace are kept, the last of each", () => {
    const { treatment } = seen([
      ...base,
      [9, { kind: "form-chosen", form: "dam" }],
      [8, { kind: "form-chosen", form: "card" }],
      [7, { kind: "dry-run", minutes: 12, two_marks: true, items: [{ kind: "clamp", x: 0.2, y: 0.4 }] }],
      [6, { kind: "shards-mapped", count: 3, touching: [[0, 1]], rim: [0, 1, 2] }],
      [5, { kind: "braced", joint: "butt", brace: "pin", size: { diameter_mm: 2 } }],
    ]);
    expect([treatment.form?.body.form, treatment.dry_run?.body.minutes, treatment.shards?.body.count, treatment.brace?.body.brace]).toEqual(
      ["card", 12, 3, "pin"],
    );
  });
});

test("a jar's own figures rule its clock and its batch", () => {
  const jar = {
    id: "00000000-0000-4000-8000-00000000abcd",
    name: "The blue tub",
    figures: { firm_min: [100, 100], layer_mm: [4, 4] },
  } as const;
  const chain = [{ role: "filler", class: "epoxy-putty", product: jar }] as const;
  const { plan, cures } = seen([
    [90, surveyed()],
    [80, { kind: "matched", stance: "service", chain: [...chain] }],
    [70, ready],
    [0, { ...(mixed(1) as Extract<EventBody, { kind: "mixed" }>), product: jar }],
  ]);
  expect(plan?.fill).toMatchObject({ count: 3, material: { name: "The blue tub" } });
  const firm = cures[0]?.stages.find(({ stage }) => stage === "firm")?.at ?? 0;
  const published =
    runningCure(readLog(logOf([0, mixed(1)])).clocks[0] as never, CLIMATE).stages.find(({ stage }) => stage === "firm")?.at ?? 0;
  expect((firm - NOON) / (published - NOON)).toBeCloseTo(100 / Math.sqrt(55 * 75), 6);
});

test("each damage is drawn in its own cut", () => {
  expect(profileOf(CHIP)).toEqual({ kind: "scoop", width: 34, depth: 11 });
  expect(profileOf({ kind: "hole", diameter_mm: 6, depth_mm: 10, through: true })).toEqual({
    kind: "shaft",
    width: 6,
    depth: 10,
    through: true,
  });
  expect(profileOf({ kind: "corner", a_mm: 30, b_mm: 40, c_mm: 10 })).toMatchObject({ kind: "peak", depth: 24 });
});
