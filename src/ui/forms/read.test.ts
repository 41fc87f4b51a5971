import { formPath, messagesOf, resolverOf } from "./read";

interface Typed {
  readonly title: string;
  readonly parts: ReadonlyArray<{ readonly name: string }>;
}
const read = ({ title, parts }: Typed) =>
  title === ""
    ? { ok: false as const, errors: { title: "Give it a name.", "parts.1.name": "Name the part." } }
    : { ok: true as const, value: { title: title.trim(), count: parts.length } };

const resolve = async (typed: Typed) => resolverOf<Typed, object>(read)(typed, undefined, { fields: {}, shouldUseNativeValidation: false });

test("what reads well is sent as it was read", async () => {
  expect(await resolve({ title: " jar ", parts: [{ name: "rim" }] })).toEqual({ values: { title: "jar", count: 1 }, errors: {} });
});

test("what is wrong stands at its field, however deep, and comes out again by its path", async () => {
  const { errors, values } = await resolve({ title: "", parts: [] });
  expect(values).toEqual({});
  expect(messagesOf(errors)).toEqual({ title: "Give it a name.", "parts.1.name": "Name the part." });
});

test("fields are named by the record as the form names them", () => {
  expect([formPath("/parts/0/name"), formPath("/title"), formPath("")]).toEqual(["parts.0.name", "title", ""]);
  expect(messagesOf({ root: { type: "x", message: "of the whole" }, ref: { message: "no field" } })).toEqual({ root: "of the whole" });
});
