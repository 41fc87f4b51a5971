import { DAMAGE_KINDS, finishRow } from "../catalogue";
import { type FormFacts, formsFor } from "./forms.data";

const facts = (over: Partial<FormFacts> = {}): FormFacts => ({
  damage: "corner",
  through: false,
  twin: undefined,
  finish: finishRow("none"),
  pours: false,
  loss_cm3: 6,
  ...over,
});
const names = (over: Partial<FormFacts>) => formsFor(facts(over)).map(({ row }) => row.form);

test("a twin gives a mould; without one a dam, or building by hand", () => {
  expect(names({ twin: true })[0]).toBe("mould");
  expect(names({ twin: false })).toEqual(["dam", "free", "none"]);
});

test("a mould takes three times the loss, the others none", () => {
  expect(formsFor(facts({ twin: true })).map(({ row, material_cm3 }) => [row.form, material_cm3])).toEqual([
    ["mould", 18],
    ["dam", 0],
    ["free", 0],
    ["none", 0],
  ]);
});

test("a mould over a film that it may pull off stands behind, with its warning", () => {
  const forms = formsFor(facts({ twin: true, finish: finishRow("gilding") }));
  expect(forms.at(-1)).toMatchObject({ row: { form: "mould" }, against: expect.stringContaining("pull the gilding off the twin") });
});

test("what pours wants a card, and does not stand free", () => {
  const forms = formsFor(facts({ damage: "tip", pours: true }));
  expect(forms[0]?.row.form).toBe("card");
  expect(forms.find(({ row }) => row.form === "free")?.against).toContain("does not stand");
});

test("a through hole is dammed, a blind one holds its fill by itself", () => {
  expect(names({ damage: "hole", through: true })[0]).toBe("dam");
  expect(names({ damage: "hole" })).toEqual(["none"]);
});

test("every damage has at least one way", () => {
  for (const damage of DAMAGE_KINDS) expect(formsFor(facts({ damage })).length).toBeGreaterThan(0);
});
