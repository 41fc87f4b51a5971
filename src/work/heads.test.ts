import { freshShop } from "@/core/shop/shop";
import { done, mixed, READY } from "@/core/views/story.fixture";
import { dueTreatments, forgetHeads, settleDue } from "@/store/heads";
import { em } from "@/store/orm";
import { holdTreatment, treatmentRecord } from "@/store/queries";
import { mixableNow } from "./batches";
import { cabinetPage } from "./cabinet";
import { airNow, setClimate } from "./climate";
import { headsOf } from "./heads";
import { listPage } from "./lists";
import { appendEntry } from "./log";
import { health, overview } from "./overview";
import { createPiece, editPiece } from "./pieces";
import { saveShop } from "./shop";
import { chosenTreatment, newPiece, scratchDatabase, write } from "./testing.fixture";

scratchDatabase();

const AGAINST = { state: "blocked", because: "made ready at another bench" } as const;
const today = new Date();
/** As a process that has just been started: it has looked through nothing yet. */
const forgetLook = () => Reflect.deleteProperty(globalThis, "__wanderjahrLooked");
beforeEach(forgetLook);
const closedItems = async () => (await listPage({ list: "closed" }, today)).items.map(({ others: _, ...item }) => item);
const kept = async () => (await em()).execute<{ treatment_id: string; at: string; version: number }[]>("select * from treatment_head");

/** What a list would show if nothing were kept: the whole log, folded and worked out. */
async function anew(id: string): Promise<unknown> {
  const store = await em();
  const record = await treatmentRecord(store, id);
  const [head] = record ? await headsOf(store, [record], today, await airNow(store, today)) : [];
  return JSON.parse(JSON.stringify(head?.item ?? null));
}

describe("what is kept beside a treatment is what its log says", () => {
  test("entry by entry: matched, noted, closed, reopened", async () => {
    const id = await chosenTreatment();
    const told = [
      { kind: "noted", station: "survey", text: "a hairline" },
      { kind: "closed", notes: "", signed_by: "M." },
      { kind: "reopened", reason: "a pit showed" },
    ] as const;
    for (const [i, body] of told.entries()) {
      await write(id, i + 2, body);
      expect([...(await overview()).items, ...(await closedItems())]).toEqual([await anew(id)]);
    }
  });

  test("a mix that runs stands with its clock, in lists, batches and cabinet alike", async () => {
    const id = await chosenTreatment();
    const before = await cabinetPage(today);
    expect((await mixableNow("epoxy-putty", today)).length).toBe(0);
    await write(id, 2, { ...mixed(1), against: AGAINST } as never);
    expect((await overview()).items).toEqual([await anew(id)]);
    const grams = (needs: typeof before.needs) =>
      needs.filter((need) => need.class === "epoxy-putty").reduce((sum, need) => sum + need.grams, 0);
    expect(grams((await cabinetPage(today)).needs)).toBeLessThan(grams(before.needs));
  });

  test("a piece that is given another name has it in every list", async () => {
    const { id, treatment_id } = await createPiece(newPiece(), today);
    expect((await overview()).items[0]?.piece).toBe("Lemonade jar");
    const { piece, parts } = { piece: newPiece(), parts: (await treatmentRecord(await em(), treatment_id))?.parts ?? [] };
    const { title: _, reference, owner_reference, kind } = piece;
    await editPiece(id, { version: 1, title: "Lemonade jar, blue", reference, owner_reference, kind, parts });
    expect((await overview()).items[0]?.piece).toBe("Lemonade jar, blue");
  });
});

describe("pages cost what has changed", () => {
  test("what has not changed is not worked out again; one entry works out its own treatment alone", async () => {
    const ids = [await chosenTreatment(), await chosenTreatment(), await chosenTreatment()];
    await overview();
    const first = new Map((await kept()).map(({ treatment_id, at }) => [treatment_id, String(at)]));
    expect(first.size).toBe(3);
    await write(ids[1] as string, 2, { kind: "noted", station: "survey", text: "a hairline" });
    await overview();
    const changed = (await kept()).filter(({ treatment_id, at }) => first.get(treatment_id) !== String(at));
    expect(changed.map(({ treatment_id }) => treatment_id)).toEqual([ids[1]]);
  });

  test("heads that are thrown away, or of another build, come back the same", async () => {
    const id = await chosenTreatment();
    const before = (await overview()).items;
    await forgetHeads(await em());
    expect((await overview()).items).toEqual(before);
    await (await em()).execute("update treatment_head set stamp = 'older', item = '{}'");
    forgetLook();
    expect((await overview()).items).toEqual(before);
    expect(before.map((item) => item.id)).toEqual([id]);
  });

  test("what was worked out before the shop changed does not settle what came due since", async () => {
    const id = await chosenTreatment();
    const store = await em();
    const before = await dueTreatments(store);
    expect(before.map((due) => due.id)).toEqual([id]);
    await forgetHeads(store);
    await settleDue(store, before);
    const since = await dueTreatments(store);
    expect(since.map((due) => due.id)).toEqual([id]);
    await settleDue(store, since);
    expect(await dueTreatments(store)).toEqual([]);
  });

  test("under two writers, while the shop is saved and pages are read, heads end as the logs say and nobody waits in a circle", async () => {
    const ids = [await chosenTreatment(), await chosenTreatment(), await chosenTreatment(), await chosenTreatment()];
    const ROUNDS = 6;
    const writer = async (mine: readonly string[]) => {
      for (let round = 0; round < ROUNDS; round++)
        for (const id of mine) await write(id, 2 + round, { kind: "noted", station: "survey", text: `round ${round}` });
    };
    const shopper = async () => {
      for (let version = 0; version < ROUNDS; version++)
        await saveShop({ ...freshShop("Haldenau", "Europe/Berlin"), version, scale_step_g: version % 2 === 0 ? 0.1 : 0.01 });
    };
    const reader = async () => {
      for (let round = 0; round < 2 * ROUNDS; round++) {
        forgetLook();
        await overview();
      }
    };
    await Promise.all([writer(ids.slice(0, 2)), writer(ids.slice(2)), shopper(), reader(), reader()]);
    const { items } = await overview();
    for (const id of ids) expect(items.find((item) => item.id === id)).toEqual(await anew(id));
    expect(await dueTreatments(await em())).toEqual([]);
  });

  test("two that hold the same rows in opposite order both come through", async () => {
    const [a, b] = [await chosenTreatment(), await chosenTreatment()];
    const hold = async (first: string, second: string) =>
      (await em()).transactional(async (tx) => {
        await holdTreatment(tx, first);
        await new Promise((done) => setTimeout(done, 50));
        await holdTreatment(tx, second);
        return "through";
      });
    expect(await Promise.all([hold(a, b), hold(b, a)])).toEqual(["through", "through"]);
  });

  test("a running clock follows the air that is set by hand at once", async () => {
    const id = await chosenTreatment();
    const hours = (ago: number) => new Date(Date.now() - ago * 3_600_000);
    for (const [i, body] of [...READY.map((op) => done(op)), mixed(1)].entries())
      await appendEntry(id, { key: crypto.randomUUID(), version: 2 + i, body }, hours(READY.length - i));
    const due = async () => Math.max(...(await overview()).items.flatMap(({ brief }) => brief.acts.map(({ until = 0 }) => until)));
    await setClimate({ source: "hand", temp_C: 22, rh_pct: 50 }, new Date());
    const warm = await due();
    await setClimate({ source: "hand", temp_C: 14, rh_pct: 50 }, new Date());
    expect(await due()).toBeGreaterThan(warm);
  });

  test("what is open and what is closed is counted", async () => {
    const shut = await chosenTreatment();
    await chosenTreatment();
    await write(shut, 2, { kind: "closed", notes: "", signed_by: "M." });
    expect(await health()).toEqual({ here: true });
    expect((await listPage({}, today)).counts).toEqual({ open: 1, hands: 1, off: 0, closed: 1 });
  });

  test("open and closed lists are found by their indexes", async () => {
    await chosenTreatment();
    const store = await em();
    const plan = (sql: string) =>
      store.transactional(async (tx) => {
        await tx.execute("set local enable_seqscan = off");
        return JSON.stringify(await tx.execute(`explain ${sql}`));
      });
    expect(await plan("select id from treatment where deleted_at is null and closed_at is null order by created_at")).toContain(
      "treatment_open",
    );
    const closed = "select id from treatment where deleted_at is null and closed_at is not null order by closed_at desc limit 100";
    expect(await plan(closed)).toContain("treatment_closed");
  });
});
