import { withPauses } from "./pauses";

test("others have their turn between a few, and all are given in their order", async () => {
  const told: string[] = [];
  const other = setInterval(() => told.push("another request"), 0);
  for await (const one of withPauses(Array.from({ length: 40 }, (_, i) => `${i}`))) told.push(one);
  clearInterval(other);
  const mine = told.filter((each) => each !== "another request");
  expect(mine).toEqual(Array.from({ length: 40 }, (_, i) => `${i}`));
});

test("where whoever asked has gone, nothing more is worked out", async () => {
  const gone = new AbortController();
  const done: number[] = [];
  const work = async () => {
    for await (const one of withPauses([1, 2, 3, 4], gone.signal)) {
      done.push(one);
      if (one === 2) gone.abort(new Error("gone"));
    }
  };
  await expect(work()).rejects.toThrow("gone");
  expect(done).toEqual([1, 2]);
});
