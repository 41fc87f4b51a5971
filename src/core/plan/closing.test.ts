import { closingView } from "./closing";
import { plannedSteps } from "./plan";
import { chainWords, materialsUsed, reviewOf } from "./review";
import { AIR, CHIP, coated, filling, matched, mixed, sanded, seen, surveyed, type Tale } from "./story.fixture";

describe("closing", () => {
  const told: Tale = filling(
    [250, mixed(1)],
    [240, { kind: "placed", layer: 1, applied_mm: 5.7 }],
    [200, { kind: "station-done", station: "fill" }],
    [150, sanded(120)],
    [140, { kind: "went-back", to: { system: "P", grade: 120 }, reason: "a deep line" }],
  );

  test("planned stands against done, and what changed carries its reason", () => {
    const { treatment, plan } = seen(told);
    if (!plan) throw new Error("no plan");
    const rows = reviewOf(treatment, plan);
    expect(rows.map(({ station }) => station)).toEqual(["survey", "match", "ready", "fill", "level", "colour"]);
    expect(rows.find(({ station }) => station === "fill")).toMatchObject({
      planned: "2 × 5.7 mm",
      done: "1 × 5.7 mm",
      changed: true,
      done_min: 15,
    });
    expect(rows.find(({ station }) => station === "level")).toMatchObject({
      done: "P120 ↩",
      why: "back to P120: a deep line",
      done_min: 6,
    });
    expect(rows.find(({ station }) => station === "survey")).toMatchObject({ changed: false });
  });

  test("at Join a started clamp clock counts as its step; what was skipped says so with its reason", () => {
    const chain = [
      { role: "adhesive", class: "pva" },
      { role: "brace", class: "wood-dowel" },
    ] as const;
    const across = { kind: "break-across", width_mm: 30, height_mm: 44 } as const;
    const joining: Tale = [
      [500, surveyed(across)],
      [480, { kind: "matched", stance: "service", chain: [...chain], hands_min: 10 }],
      [470, { kind: "station-skipped", station: "ready", reason: "done last week" }],
      [400, { kind: "step-done", station: "join", step: "drill", hands_min: 12 }],
      [390, { kind: "step-skipped", station: "join", step: "check", reason: "left alone overnight" }],
      [380, { kind: "clamped", class: "pva", layer: 1, thickness_mm: 0.1, climate: AIR, hands_min: 10 }],
    ];
    const { treatment, plan } = seen(joining);
    if (!plan) throw new Error("no plan");
    const rows = reviewOf(treatment, plan);
    expect(rows.find(({ station }) => station === "ready")).toMatchObject({ done: "skipped", changed: true, why: "done last week" });
    expect(rows.find(({ station }) => station === "join")).toMatchObject({
      planned: "7 steps",
      done: "2 of 7 steps",
      done_min: 22,
      why: "check skipped: left alone overnight",
    });
    expect(materialsUsed(treatment)).toMatchObject([{ what: "joint 1", parts: "", climate: "20.0 °C, 50 % RH" }]);
    expect(chainWords(treatment)).toBe("PVA wood glue → Wood dowel");
  });

  test("coats are counted, what was weighed is named part by part, and nothing begun is a dash", () => {
    const { treatment, plan } = seen(filling([250, mixed(1)], [100, coated(1)]));
    if (!plan) throw new Error("no plan");
    expect(reviewOf(treatment, plan).find(({ station }) => station === "colour")).toMatchObject({ planned: "4 coats", done: "1 coat" });
    expect(materialsUsed(treatment)[0]?.parts).toBe("A 1.02 g : B 1.00 g");
    const fresh = seen(filling());
    if (!fresh.plan) throw new Error("no plan");
    expect(reviewOf(fresh.treatment, fresh.plan).map(({ done }) => done)).toEqual([
      "measured",
      "chosen",
      expect.stringContaining("0 of"),
      "–",
      "–",
      "–",
    ]);
  });

  test("times, what is open and the owner's dates", () => {
    const { treatment, plan, cures, now } = seen([
      [500, surveyed(CHIP, { food: true, wet: true })],
      [480, matched],
      [250, mixed(1)],
    ]);
    if (!plan) throw new Error("no plan");
    const view = closingView(treatment, plan, cures, now);
    expect(view).toMatchObject({ hands_min: 40, elapsed_min: 500 });
    expect(view.open).toEqual(["Make ready", "Fill", "Level", "Colour"]);
    expect(view.full_at).toBeGreaterThan(now);
    expect(
      view.owner
        .filter(({ when }) => when === "never")
        .map(({ act }) => act)
        .join(" "),
    ).toMatch(/Dishwasher.*Food or drink/);
    expect(view.owner.map(({ when }) => when)).toEqual(
      [...view.owner].map(({ when }) => when).sort((a, b) => ["today", "full", "never"].indexOf(a) - ["today", "full", "never"].indexOf(b)),
    );
    expect(AIR.temp_C).toBe(20);
  });

  test("a closed record keeps the steps it was signed with: what the tables gain or lose later does not touch it", () => {
    const told: Tale = [
      [500, surveyed()],
      [480, matched],
    ];
    const { plan } = seen(told);
    const before = plan?.stations.ready.steps.map(({ step }) => step) ?? [];
    expect(before.length).toBeGreaterThan(2);
    const signed = [...before.slice(1), "a-former-step"].map((step) => ({ station: "ready" as const, step }));
    const closed = seen([...told, [5, { kind: "closed", notes: "", signed_by: "M.", steps: signed }]]);
    expect(closed.plan?.stations.ready.steps.map(({ step }) => step)).toEqual([...before.slice(1), "a-former-step"]);
    expect(closed.plan?.stations.ready.steps.at(-1)?.text).toBe("a former step");
    const reopened = seen([
      ...told,
      [5, { kind: "closed", notes: "", signed_by: "M.", steps: signed }],
      [4, { kind: "reopened", reason: "a chip was missed" }],
    ]);
    expect(reopened.plan?.stations.ready.steps.map(({ step }) => step)).toEqual(before);
  });

  test("signing keeps the order in which the steps stood, those of one's own among them", () => {
    const { plan } = seen([
      [500, surveyed()],
      [480, matched],
      [470, { kind: "step-added", station: "ready", step: "own-1", text: "Wax the bench", why: "glue", hands_min: 2, wait_min: 0 }],
    ]);
    if (!plan) throw new Error("no plan");
    expect(
      plannedSteps(plan)
        .filter(({ station }) => station === "ready")
        .at(-1),
    ).toEqual({ station: "ready", step: "own-1" });
  });
});
