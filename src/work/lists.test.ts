import { listRows } from "@/store/lists";
import { em } from "@/store/orm";
import { type ListPage, listPage } from "./lists";
import { appendEntry } from "./log";
import { createPiece } from "./pieces";
import type { WorkProblem } from "./problems";
import { chosenTreatment, newPiece, scratchDatabase } from "./testing.fixture";

scratchDatabase();

const now = new Date();

/** So many pieces, the first promised last, their marks HF-1, HF-2 … */
async function pieces(count: number): Promise<string[]> {
  const made: string[] = [];
  for (let i = 1; i <= count; i++) {
    const promised = i % 3 === 0 ? {} : { promised: new Date(Date.UTC(2027, 0, 200 - i)).toISOString().slice(0, 10) };
    const { treatment_id } = await createPiece(newPiece({ reference: `HF-${i}`, ...promised }), now);
    made.push(treatment_id);
  }
  return made;
}

/** Every page of a list, one after the other. */
async function all(question: object): Promise<ListPage[]> {
  const pages: ListPage[] = [];
  for (let after: string | undefined; pages.length === 0 || after !== undefined; ) {
    const page = await listPage({ ...question, ...(after === undefined ? {} : { after }) }, now);
    pages.push(page);
    after = page.next;
  }
  return pages;
}

const fieldsOf = (work: Promise<unknown>) =>
  work.then(
    () => "no refusal",
    (error: unknown) => (error as WorkProblem).problem.errors?.map(({ path }) => path),
  );

describe("a list is read a page at a time", () => {
  test("in every order each treatment stands once, pages hold thirty, and marks are read as numbers", async () => {
    const made = await pieces(120);
    for (const order of ["promised", "act", "reference"]) {
      const pages = await all({ order });
      expect(pages.map(({ items }) => items.length)).toEqual([30, 30, 30, 30]);
      expect(pages.flatMap(({ items }) => items.map(({ id }) => id)).sort()).toEqual([...made].sort());
    }
    const marks = (await all({ order: "reference" })).flatMap(({ items }) => items.map(({ reference }) => reference));
    expect(marks).toEqual(made.map((_, i) => `HF-${i + 1}`));
    const due = (await all({ order: "promised" })).flatMap(({ items }) => items.map(({ promised }) => promised ?? "9999"));
    expect(due).toEqual([...due].sort());
  });

  test("words are looked for in names, marks, owners, treatments and materials, and what they hold of signs is no sign", async () => {
    const [first] = await pieces(3);
    const found = async (words: string) => (await listPage({ words }, now)).items.length;
    expect([await found("hf-2"), await found("STONEWARE"), await found("chip"), await found("100%"), await found("nowhere")]).toEqual([
      1, 3, 3, 0, 0,
    ]);
    expect((await listPage({ words: "HF-1" }, now)).items.map(({ id }) => id)).toEqual([first]);
  });

  test("what is closed stands by itself, the last first, and is counted", async () => {
    const shut: string[] = [];
    for (const hours of [3, 2, 1]) {
      const [id, body] = [await chosenTreatment(), { kind: "closed", notes: "", signed_by: "M." }];
      await appendEntry(id, { key: crypto.randomUUID(), version: 2, body }, new Date(now.getTime() - hours * 3_600_000));
      shut.unshift(id);
    }
    await chosenTreatment();
    const { items, counts } = await listPage({ list: "closed", order: "act" }, now);
    expect(items.map(({ id }) => id)).toEqual(shut);
    expect(counts).toEqual({ open: 1, hands: 1, off: 0, closed: 3 });
  });

  test.each([
    [{ after: "nonsense" }, "/after"],
    [{ after: Buffer.from('["2027-01-01","no id"]').toString("base64url") }, "/after"],
    [{ list: "lost" }, "/list"],
    [{ order: "weight" }, "/order"],
    [{ words: "x".repeat(201) }, "/words"],
  ])("%j is refused at %s", async (question, field) => {
    expect(await fieldsOf(listPage(question, now))).toEqual([field]);
  });

  test("a cursor of another order is refused, not answered with an error of the database", async () => {
    const after = Buffer.from(JSON.stringify(["HF-9", crypto.randomUUID()])).toString("base64url");
    for (const order of ["promised", "act"]) expect(await fieldsOf(listPage({ order, after }, now))).toEqual(["/after"]);
  });

  test("each order has an index that answers it", async () => {
    await chosenTreatment();
    const plan = async (order: "promised" | "act" | "reference", list: "open" | "closed") => {
      const lines: string[] = [];
      await (await em()).transactional(async (tx) => {
        await tx.execute("set local enable_seqscan = off; set local enable_sort = off; set local enable_bitmapscan = off");
        const explaining = {
          execute: async (sql: string, values: unknown[]) => lines.push(JSON.stringify(await tx.execute(`explain ${sql}`, values))),
        };
        await listRows(explaining as never, { list, order, now, limit: 51 });
      });
      return lines.join();
    };
    expect(await plan("promised", "open")).toContain("treatment_open_promised");
    expect(await plan("promised", "closed")).toContain("treatment_shut_promised");
    expect(await plan("act", "open")).toContain("treatment_head_touch");
    expect(await plan("act", "closed")).toContain("treatment_closed");
    expect(await plan("reference", "open")).toContain("piece_reference");
  });
});
