import type { ClassName } from "../catalogue";
import type { BodyOf } from "../record/events.schema";
import { admit } from "./admit";
import { lastMinuteAt } from "./brief";
import { briefOf } from "./briefOf";
import { materialsUsed } from "./closing";
import { entryWords } from "./entryWords";
import { needsOf } from "./needs";
import { operationViews } from "./operationView";
import { AIR, done, idOf, MINUTE, NOON, type Seen, see, surveyed, type Told } from "./story.fixture";
import type { PieceFacts } from "./worked";

const GATE: PieceFacts = { kind: "figure", part: "p", parts: [{ id: "p", substrate: "gypsum", finish: "none" }] };
const NAME: ClassName = "epoxy-putty";
const MIX = `r1/fill/mix-1/${NAME}`;

/** A worn face too large for one cup of putty, with all before its mix done. */
const chosen: readonly Told[] = [
  [50_000, surveyed({ kind: "eroded", length_mm: 260, width_mm: 160, depth_mm: 8, cause_present: false, hollow: false })],
  [49_990, { kind: "matched", stance: "service", chain: [{ role: "filler", class: NAME }] }],
];
const planned = see(chosen, 0, GATE).acts.map(({ op }) => op);
const before = planned.slice(
  0,
  planned.findIndex(({ id }) => id === MIX),
);
const start: readonly Told[] = [...chosen, ...before.map(({ id }, i): Told => [40_000 - i * 2000, done(id)])];
const look = (told: readonly Told[], minutes = 0) => see(told, minutes, GATE);

const viewOf = ({ treatment, worked, acts }: Seen) => operationViews(treatment, worked, acts, [], NOON).find(({ id }) => id === MIX);
const partsOf = (seen: Seen) => (viewOf(seen)?.parts ?? []).map(({ name, mass_g }) => ({ name, planned_g: mass_g, actual_g: mass_g }));
const cup = (seen: Seen): BodyOf<"batch-mixed"> => ({
  kind: "batch-mixed",
  op: MIX,
  hands_min: 6,
  start: { class: NAME, thickness_mm: 10, parts: partsOf(seen), climate: AIR },
});

describe("a mix that is stirred in several cups", () => {
  const none = look(start);
  const whole = none.act(MIX).op;
  const first: readonly Told[] = [...start, [10, cup(none)]];
  const one = look(first);

  test("shows the next cup: its grams, its share of every part, and its minutes", () => {
    expect(whole.batches).toBeGreaterThan(1);
    const { batch, mass_g = 0, parts = [], hands_min } = viewOf(none) ?? {};
    expect(batch).toMatchObject({ n: 1, of: whole.batches, whole_g: whole.mass_g });
    expect(mass_g).toBeCloseTo((whole.mass_g ?? 0) / (whole.batches ?? 1), 6);
    expect(parts.reduce((sum, part) => sum + part.mass_g, 0)).toBeCloseTo(mass_g, 6);
    // it is stirred, and laid before the next is
    expect(hands_min?.[0]).toBeGreaterThan(4);
    expect((hands_min?.[1] ?? 0) * (whole.batches ?? 1)).toBeCloseTo(whole.hands_min[1], 6);
  });

  test("a cup that is mixed has a window of its own, and the mix stays open for the next", () => {
    expect(one.act(MIX).state).toBe("now");
    // what the first cup had to meet is no window for the third
    expect(look(first, 3000).act(MIX).state).toBe("now");
    expect(viewOf(one)?.batch).toMatchObject({ n: 2, mixed: [{ entry: idOf(first.length), at: NOON - 10 * MINUTE }] });
    expect(one.act("r1/fill/place-1/d1/loss").state).toBe("blocked");
    const until = viewOf(one)?.batch?.mixed[0]?.until ?? 0;
    expect(one.next).toMatchObject({ title: `Use up batch 1 of ${whole.batches}`, until });
    const brief = briefOf(one.treatment, one.worked, NOON);
    expect(lastMinuteAt(brief, until - 30_000).map(({ title }) => title)).toEqual([`Use up batch 1 of ${whole.batches}`]);
    expect(lastMinuteAt(brief, until - 5 * MINUTE)).toEqual([]);
  });

  test("what is mixed is no need any more, stands in the record, and can be read in the log", () => {
    const grams = (seen: Seen) => needsOf({ id: "t", piece: "Gate" }, seen.worked)[0]?.grams ?? 0;
    expect(grams(none) - grams(one)).toBeCloseTo((whole.mass_g ?? 0) / (whole.batches ?? 1), 6);
    expect(materialsUsed(one.treatment, one.worked)).toHaveLength(1);
    expect(entryWords(cup(none))).toMatch(/^One batch of it: .*epoxy putty/);
  });

  test("the last cup closes the mix: all of them are what was mixed, and where too little was, the plan knows", () => {
    const closing = (parts: number): Told => [
      5,
      done(MIX, {
        whole_g: whole.mass_g ?? 0,
        start: {
          class: NAME,
          thickness_mm: 10,
          parts: partsOf(one).map((part) => ({ ...part, actual_g: part.actual_g * parts })),
          climate: AIR,
        },
      }),
    ];
    const mark = look([...first, closing(1)]).worked.marks.get(MIX)?.body;
    const mixed = mark?.kind === "done" ? (mark.start?.parts ?? []) : [];
    expect(mixed.reduce((sum, { planned_g }) => sum + planned_g, 0)).toBeCloseTo(whole.mass_g ?? 0, 6);
    expect(mixed.reduce((sum, { actual_g = 0 }) => sum + actual_g, 0)).toBeCloseTo((2 * (whole.mass_g ?? 0)) / (whole.batches ?? 1), 6);
    const short = look([...first, closing(0.1)]).acts.find(({ op }) => op.id.startsWith("r1/fill/mix-2"))?.op;
    expect(short?.why ?? "").toMatch(/mixed|reaches/);
  });

  test("a cup that is stirred too early asks why, and stays one of several", () => {
    const wet = [...chosen, ...before.map(({ id }, i): Told => [30 - i, done(id)])];
    const seen = look(wet);
    const asked = { treatment: seen.treatment, worked: seen.worked, at: NOON };
    expect(seen.act(MIX).state).toBe("too-early");
    expect(admit(asked, cup(none))).toMatchObject({ message: expect.stringMatching(/Say why/) });
    const against = { state: "too-early", because: "the fair opens" } as const;
    expect(admit(asked, { ...cup(none), against })).toBeUndefined();
    expect(entryWords({ ...cup(none), against })).toMatch(/too early, because the fair opens$/);
    expect(viewOf(look([...wet, [0, { ...cup(none), against }]]))?.batch).toMatchObject({ n: 2 });
  });

  test("a cup that is taken back is mixed again", () => {
    const back = look([...first, [2, { kind: "withdrawn" }, idOf(first.length)]]);
    expect(viewOf(back)?.batch).toMatchObject({ n: 1, mixed: [] });
  });
});
