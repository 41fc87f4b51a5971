import { readLog } from "../record/treatment";
import { admit } from "./admit";
import { actAt, lastMinuteAt, waitsAt } from "./brief";
import { briefOf } from "./briefOf";
import { closingView, materialsUsed } from "./closing";
import { entryWords } from "./entryWords";
import { needsOf } from "./needs";
import { operationViews, placeViews } from "./operationView";
import { routeOf } from "./route";
import {
  AIR,
  CHOSEN,
  done,
  idOf,
  JAR,
  logOf,
  MINUTE,
  matched,
  mixed,
  NOON,
  placed,
  ready,
  see,
  surveyed,
  type Told,
  WALL,
} from "./story.fixture";
import { worked } from "./worked";

const MIXED: readonly Told[] = [...CHOSEN, ...ready, [80, mixed(1)], [72, placed(1)]];
const MIX_2 = "r1/fill/mix-2/epoxy-putty";

describe("what may be done", () => {
  test("nothing but the photograph stands at the start; the rest says what comes first", () => {
    const { acts, act } = see(CHOSEN);
    expect(acts.filter(({ state }) => state === "now").map(({ op }) => op.id)).toEqual(["r1/ready/photograph"]);
    expect(act("r1/fill/dam/d1")).toMatchObject({ state: "blocked", because: expect.stringContaining("First:"), needs: "reason" });
  });

  test("a layer waits for the one below: from when, since when, and what goes wrong before", () => {
    const early = see(MIXED).act(MIX_2);
    expect(early).toMatchObject({ state: "too-early", since: NOON - 80 * MINUTE, consequence: expect.stringContaining("not ready") });
    expect(early.from).toBeGreaterThan(NOON + 60 * MINUTE);
    expect(see(MIXED, ((early.from ?? 0) - NOON) / MINUTE + 1).act(MIX_2).state).toBe("now");
  });

  test("a window that has shut says so, and asks for a reason", () => {
    const told: Told[] = [...CHOSEN, ...ready, [180, mixed(1)]];
    expect(see(told).act("r1/fill/place-1/d1/loss")).toMatchObject({
      state: "too-late",
      needs: "reason",
      consequence: expect.stringContaining("mix again"),
    });
    expect(see(told, -170).act("r1/fill/place-1/d1/loss").state).toBe("now");
  });

  test("too cold to set is never, with the reason; a colder room waits longer", () => {
    expect(see(MIXED, 0, JAR, 2).act(MIX_2)).toMatchObject({ state: "never", because: expect.stringContaining("10 °C") });
    expect(see(MIXED, 0, JAR, 15).act(MIX_2).from).toBeGreaterThan(see(MIXED, 0, JAR, 25).act(MIX_2).from ?? Infinity);
  });

  test("what was left out blocks nothing after it", () => {
    const told: Told[] = [
      ...CHOSEN,
      [600, done("r1/ready/photograph")],
      [590, { kind: "skipped", op: "r1/ready/clean/d1", reason: "cleaned by the owner" }],
    ];
    expect(see(told).act("r1/ready/trim/d1").state).toBe("now");
  });
});

describe("what may be written", () => {
  const asked = (told: readonly Told[], minutes = 0) => {
    const now = NOON + minutes * MINUTE;
    const treatment = readLog(logOf(...told));
    return { treatment, worked: worked(JAR, treatment, AIR, { constant_C: 20 }, now), at: now };
  };

  test("a survey stands before all, a choice before any operation", () => {
    expect(admit(asked([]), matched)).toBe("Survey the damage first.");
    expect(admit(asked([[9, surveyed()]]), done("r1/ready/photograph"))).toContain("Choose the materials");
    expect(admit(asked(CHOSEN), done("r1/ready/photograph"))).toBeUndefined();
    expect(admit(asked(CHOSEN), done("r1/ready/moonlight"))).toContain("no operation");
  });

  test("too early is refused without a reason and taken with one; twice is not", () => {
    expect(admit(asked(MIXED), done(MIX_2))).toMatchObject({ message: expect.stringMatching(/Say why/) });
    expect(admit(asked(MIXED), done(MIX_2, { against: { state: "too-early", because: "the lamp stood on it" } }))).toBeUndefined();
    expect(admit(asked(MIXED), mixed(1))).toContain("on record already");
  });

  test("a round is of places that are there; what is closed is reopened first", () => {
    const back = (place: string) => ({ kind: "round-opened" as const, station: "fill" as const, places: [place], because: "a pinhole" });
    expect(admit(asked(MIXED), back("d1/loss"))).toBeUndefined();
    expect(admit(asked(MIXED), back("d1/handle"))).toContain("no place d1/handle");
    const shut: Told[] = [...MIXED, [1, { kind: "closed", notes: "", signed_by: "M." }]];
    expect(admit(asked(shut), done("r1/ready/mask"))).toContain("closed");
    expect(admit(asked(shut), { kind: "reopened", reason: "a pit showed" })).toBeUndefined();
  });
});

describe("two damages in one treatment", () => {
  const SHARDS = { kind: "shards", shards: 2, break_length_mm: 60, thickness_mm: 6 } as const;
  const glued: Told = [
    690,
    { kind: "matched", damage: "d2", stance: "reversible", chain: [{ role: "adhesive", class: "acrylic-resin-solvent" }] },
  ];
  const both: Told[] = [[710, surveyed()], [705, surveyed(SHARDS, {}, { damage: "d2", title: "Lid" })], [695, matched], glued];

  test("are one list: photographed once, each with its own places and its own materials", () => {
    const { worked: found, treatment } = see(both);
    expect(found.repair.operations.filter(({ kind }) => kind === "photograph").map(({ places }) => places)).toContainEqual(
      expect.arrayContaining(["d1/loss", "d2/joins"]),
    );
    expect(placeViews(treatment, found).map(({ number }) => number)).toEqual(expect.arrayContaining([1, 2]));
    expect(found.repair.links.map(({ class: name }) => name)).toEqual(expect.arrayContaining(["epoxy-putty", "acrylic-resin-solvent"]));
  });

  test("the second is asked for its materials before the treatment is settled", () => {
    const half = readLog(logOf(...both.slice(0, 3)));
    expect([half.settled, half.damages.map(({ settled }) => settled)]).toEqual([false, [true, false]]);
    expect(actAt(briefOf(half, worked(JAR, half, AIR, { constant_C: 20 }, NOON), NOON), NOON)).toMatchObject({
      station: "match",
      title: "Choose the materials",
    });
  });

  test("two clocks run side by side, each with its plate and its wait", () => {
    const all = see(both).worked.repair.operations;
    const before = all.filter(({ station }) => station === "ready").map((operation, i): Told => [500 - i * 10, done(operation.id)]);
    const glue = { class: "acrylic-resin-solvent" as const, thickness_mm: 0.1, climate: AIR };
    const told: Told[] = [
      ...both,
      ...before,
      [150, done("r1/join/mix-1/acrylic-resin-solvent", { start: glue })],
      [140, done("r1/join/bond-1/d2", { start: glue })],
      [135, done("r1/join/clamp-1/d2")],
      [134, done("r1/join/check-1/d2")],
      [120, done("r1/fill/dam/d1")],
      [80, mixed(1)],
      [72, placed(1)],
    ];
    const seen = see(told, -60);
    const off = waitsAt(briefOf(seen.treatment, seen.worked, NOON - 60 * MINUTE), NOON - 60 * MINUTE);
    expect(new Set(seen.plates.map(({ material }) => material)).size).toBe(2);
    expect(new Set(off.map(({ material }) => material)).size).toBeGreaterThanOrEqual(2);
  });
});

describe("rounds", () => {
  const until: Told[] = [...MIXED, [70, { kind: "round-opened", station: "fill", places: ["d1/loss"], because: "a pinhole" }]];
  test("bring the operations of the place back, keep what is done, and are told with their cause", () => {
    const { worked: found, treatment, acts } = see(until);
    expect(found.repair.operations.some(({ id }) => id.startsWith("r2/fill/mix-1"))).toBe(true);
    expect(acts.find(({ op }) => op.id === "r1/fill/mix-1/epoxy-putty")?.state).toBe("done");
    expect(closingView(treatment, found).review.find(({ station }) => station === "fill")?.why).toEqual(["Back to Fill: a pinhole"]);
    const stop = routeOf(treatment, found, briefOf(treatment, found, NOON), WALL, NOON).find(({ station }) => station === "fill");
    expect(stop?.loop?.words).toBe("round 2: a pinhole");
  });
});

describe("what pages show", () => {
  test("the next act: a survey, a choice, then the operations; closing windows first", () => {
    const none = readLog([]);
    expect(actAt(briefOf(none, undefined, NOON), NOON)).toMatchObject({ station: "survey", state: "now" });
    expect(see(CHOSEN).next).toMatchObject({ station: "ready", op: "r1/ready/photograph" });
    const mixing: Told[] = [...CHOSEN, ...ready, [50, mixed(1)]];
    const until = ((see(mixing, -45).act("r1/fill/place-1/d1/loss").until ?? 0) - NOON) / MINUTE;
    expect(see(mixing, until - 5).next).toMatchObject({ station: "fill", state: "closing", op: "r1/fill/place-1/d1/loss" });
    expect(see(MIXED).next).toMatchObject({ state: "too-early", op: MIX_2, why: expect.stringContaining("not ready") });
  });

  test("the Shelf: hands off, then work, then nothing once it is done", () => {
    const [plate] = see(MIXED).plates;
    expect(plate).toMatchObject({ sign: "off", word: "Don’t touch", material: "Epoxy putty", station: "fill" });
    expect(plate?.used).toBeGreaterThan(0);
    expect(see(CHOSEN).plates).toEqual([]);
  });

  test("an operation with its clock, its parts and what it starts; a mark in words", () => {
    const { treatment, worked: found, acts } = see([...MIXED]);
    const views = operationViews(treatment, found, acts, [], Date.now());
    const first = views.find(({ id }) => id === "r1/fill/mix-1/epoxy-putty");
    expect(first).toMatchObject({ starts: "mixed", mark: { by: "M.", hands_min: 5 }, start: { class: "epoxy-putty" } });
    expect(views.find(({ id }) => id === MIX_2)?.parts).toHaveLength(2);
  });

  test("what a treatment will still take is summed by material, and what is mixed takes nothing more", () => {
    const needs = needsOf({ id: "t", piece: "Jar" }, see(CHOSEN).worked);
    const later = needsOf({ id: "t", piece: "Jar" }, see(MIXED).worked);
    const putty = (all: typeof needs) => all.filter(({ class: name }) => name === "epoxy-putty").reduce((sum, { grams }) => sum + grams, 0);
    expect(needs.filter(({ class: name }) => name === "epoxy-putty")).toHaveLength(1);
    expect(putty(later)).toBeLessThan(putty(needs));
    expect(putty(later)).toBeGreaterThan(0);
  });

  test("signed, the record keeps its own words, the sum of hands and what was done against the plan", () => {
    const early = done(MIX_2, {
      against: { state: "too-early", because: "the lamp stood on it", passed_min: 80, asked_min: 500 },
      start: { class: "epoxy-putty", thickness_mm: 5, climate: AIR, lot: "7" },
    });
    const { treatment, worked: found } = see([...MIXED, [5, early]]);
    const view = closingView(treatment, found);
    // what nobody timed is counted, never guessed
    const untimed = see([...MIXED, [5, { ...early, hands_min: undefined } as typeof early]]);
    expect(closingView(untimed.treatment, untimed.worked).hands).toEqual({
      ...view.hands,
      min: view.hands.min - 5,
      given: view.hands.given - 1,
    });
    expect(view.hands.min).toBe(15 + 10 + 8 * 5);
    expect(view.review.find(({ station }) => station === "fill")).toMatchObject({
      against: "changed",
      why: [expect.stringMatching(/^Too early after 1 h 15 of 17 h: mix .*The lamp stood on it$/)],
    });
    expect(materialsUsed(treatment, found).map(({ material, lot }) => [material, lot])).toEqual([
      ["Epoxy putty", ""],
      ["Epoxy putty", "7"],
    ]);
    const signed = see([...MIXED, [5, { kind: "closed", notes: "", signed_by: "M.", operations: view.operations }]]);
    expect(signed.act("r1/close/sign").state).toBe("done");
    expect(closingView(signed.treatment, signed.worked).operations.map(({ text }) => text)).toEqual(
      view.operations.map(({ text }) => text),
    );
    expect(signed.next.state).toBe("closed");
  });

  test("an entry taken back is as if it had not been", () => {
    const told: Told[] = [...MIXED, [5, { kind: "withdrawn" }, idOf(MIXED.length)]];
    expect(see(told, -65).act("r1/fill/place-1/d1/loss").state).toBe("now");
  });

  test("every kind of entry has its words; an operation by its own", () => {
    const names = new Map([["r1/fill/mix-1/epoxy-putty", "Mix layer 1"]]);
    const says = (body: Parameters<typeof entryWords>[0]) => entryWords(body, names);
    expect(says(surveyed())).toBe("Surveyed: edge chip, 17 × 11 × 12 mm");
    expect(says(matched)).toBe("Chose epoxy putty → acrylic paint and pigments → clear acrylic gloss, reversible first");
    expect(says(mixed(1))).toBe("Mix layer 1, epoxy putty (weighed: A 1.02 g, B 1.00 g)");
    expect(says(done("r1/fill/check-fill/d1", { surface_mm: -0.3, note: "one pit" }))).toBe(
      "Fill: check fill. measured 0.3 mm low. one pit",
    );
    expect(says({ kind: "skipped", op: "r1/level/grit-P120/d1", reason: "flat already" })).toBe("Left out: Level: grit P120. flat already");
    expect(says({ kind: "round-opened", station: "fill", places: ["d1/loss"], because: "a pit" })).toBe("Back to Fill, 1 place: a pit");
    const places = new Map([["d1/loss", "the chip"]]);
    expect(entryWords({ kind: "round-opened", station: "fill", places: ["d1/loss"], because: "a pit" }, places)).toBe(
      "Back to Fill, the chip: a pit",
    );
    expect(says({ kind: "closed", notes: "sound", signed_by: "M." })).toBe("Signed and closed by M.: sound");
  });
});

test("the last minute of a window is told while it runs, and neither before nor after", () => {
  const told: Told[] = [...CHOSEN, ...ready, [0, mixed(1)]];
  const { treatment, worked: found, act } = see(told);
  const until = act("r1/fill/place-1/d1/loss").until ?? 0;
  const at = (now: number) => lastMinuteAt(briefOf(treatment, found, NOON), now).map(({ op }) => op);
  expect(at(until - 61_000)).toEqual([]);
  expect(at(until - 60_000)).toEqual(["r1/fill/place-1/d1/loss"]);
  expect(at(until - 1)).toEqual(["r1/fill/place-1/d1/loss"]);
  expect(at(until)).toEqual([]);
});
