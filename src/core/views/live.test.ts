import { liveOf } from "./live";
import { type OperationView, operationViews } from "./operationView";
import { CHOSEN, NOON, see } from "./story.fixture";

const MINUTE = 60_000;
const base = { state: "now", id: "b", because: "", hands_min: [1, 1] } as unknown as OperationView;
const none = new Map<string, number>();

test("a page that is left open goes with the clock: early, now, late", () => {
  const timed: OperationView = { ...base, state: "too-early", from: 10 * MINUTE, until: 20 * MINUTE };
  expect([5, 15, 25].map((at) => liveOf(timed, none, at * MINUTE).state)).toEqual(["too-early", "now", "too-late"]);
  expect(liveOf({ ...timed, state: "done" }, none, 25 * MINUTE).state).toBe("done");
});

test("what waits for something that is kept here is too early by its own minutes, then due, then late", () => {
  const after = [{ op: "a", min_min: 30, max_min: 60, because: "it has set", min_range: [30, 40] as const }];
  const waits = { ...base, state: "blocked", blocked_by: "a", after } as unknown as OperationView;
  const kept = new Map([["a", 0]]);
  expect([10, 45, 90].map((at) => liveOf(waits, kept, at * MINUTE))).toEqual([
    { state: "too-early", from: 30 * MINUTE, until: 60 * MINUTE },
    { state: "now", from: 30 * MINUTE, until: 60 * MINUTE },
    { state: "too-late", from: 30 * MINUTE, until: 60 * MINUTE },
  ]);
  expect(liveOf(waits, none, 45 * MINUTE).state).toBe("blocked");
});

test("as the record finds it: the page away from it says the same of every step that waits", () => {
  const { treatment, worked, acts } = see([...CHOSEN]);
  const now = NOON;
  const views = operationViews(treatment, worked, acts, [], now);
  const waiting = views.filter(({ state, after }) => state === "blocked" && after !== undefined);
  expect(waiting.length).toBeGreaterThan(0);
  for (const view of waiting) {
    const kept = new Map([[view.blocked_by ?? "", now]]);
    const waits = view.after?.some(({ op, min_min }) => op === view.blocked_by && min_min >= 1) ?? false;
    expect(liveOf(view, kept, now + 1000).state).toBe(waits ? "too-early" : "now");
  }
});
