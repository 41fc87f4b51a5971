import type { ChainLink } from "../match/match.schema";
import { readLog } from "../record/treatment";
import { buildOf } from "./build";
import { keepingRows, withRows } from "./buildRows";
import { CHOSEN, idOf, logOf, matched, NOON, see, surveyed, type Told } from "./story.fixture";

const FILLER: ChainLink = { role: "filler", class: "epoxy-putty" };
const COLOUR: ChainLink = { role: "colour", class: "acrylic-paint" };
const CLEAR: ChainLink = { role: "topcoat", class: "clear-acrylic" };

describe("what a place is built of", () => {
  const { treatment, worked } = see(CHOSEN);
  const { places, choices } = buildOf(treatment, worked, [], ["coats", "layers", "material"]);

  test("coats stand as rows with their number and material, layers with theirs", () => {
    const coats = places.find(({ what }) => what === "coats");
    expect(coats?.rows.map(({ as, coats: n, class: name }) => [as, n, name])).toEqual([
      ["under", 2, "acrylic-paint"],
      ["clear", 2, "clear-acrylic"],
    ]);
    expect(places.find(({ what }) => what === "layers")?.rows.map(({ class: name }) => name)).toEqual(["epoxy-putty"]);
  });

  test("each role offers what fits, and no more; a jar of it stands before its class", () => {
    const product = {
      id: "11111111-1111-4111-8111-111111111111",
      class: "epoxy-putty" as const,
      name: "White stick",
      figures: {},
      version: 1,
      lots: [],
    };
    const [layers] = buildOf(treatment, worked, [product], ["layers"]).places;
    const names = layers?.candidates.filler?.map(({ name }) => name) ?? [];
    expect(names.indexOf("White stick")).toBe(names.findIndex((name) => /epoxy putty/i.test(name)) - 1);
    expect(layers?.candidates.filler?.map(({ class: name }) => name)).not.toContain("wood-inlay");
  });

  test("a change is written into the choice that it was made for", () => {
    expect(choices).toMatchObject([{ damage: "d1", entry: idOf(2), stance: "reversible" }]);
  });

  test("a row with one coat more is planned as one more", () => {
    const coats = places.find(({ what }) => what === "coats");
    const [choice] = choices;
    if (!coats || !choice) throw new Error("no coats");
    const chain = withRows(
      choice,
      coats,
      coats.rows.map((row) => (row.as === "under" ? { ...row, coats: 3 } : row)),
    );
    const told: Told[] = [...CHOSEN, [600, { ...matched, chain } as typeof matched, idOf(2)]];
    const ids = see(told).worked.repair.operations.map(({ id }) => id);
    expect(ids.filter((id) => id.includes("/under-"))).toHaveLength(3);
    expect(ids.filter((id) => id.includes("/clear-"))).toHaveLength(2);
  });

  test("a damage without a choice has nothing to change", () => {
    const only = readLog(logOf([700, surveyed()], [690, matched], [680, surveyed(undefined, {}, { damage: "d2", title: "Second" })]));
    expect(buildOf(only, worked, [], ["coats"]).choices).toHaveLength(1);
    expect(NOON).toBeGreaterThan(0);
  });
});

describe("rows of one place", () => {
  const taking = { filler: ["d1/a", "d1/b", "d1/c"], colour: ["d1/surface"] };

  test("what was chosen for all stays at the others", () => {
    const chain = withRows({ chain: [FILLER, COLOUR], taking }, { place: "d1/b", roles: ["filler"] }, [
      { ...FILLER, class: "bulked-epoxy" },
    ]);
    expect(chain).toEqual([
      { ...FILLER, place: "d1/a" },
      { ...FILLER, place: "d1/c" },
      COLOUR,
      { ...FILLER, class: "bulked-epoxy", place: "d1/b" },
    ]);
  });

  test("changed again, only that place changes", () => {
    const before: ChainLink[] = [
      { ...FILLER, place: "d1/a" },
      { ...FILLER, class: "bulked-epoxy", place: "d1/b" },
    ];
    const chain = withRows({ chain: before, taking }, { place: "d1/b", roles: ["filler"] }, [FILLER]);
    expect(chain).toEqual([
      { ...FILLER, place: "d1/a" },
      { ...FILLER, place: "d1/b" },
    ]);
  });

  test("several rows of two roles keep their order", () => {
    const rows = [COLOUR, CLEAR, COLOUR];
    const chain = withRows({ chain: [FILLER, COLOUR, CLEAR], taking }, { place: "d1/surface", roles: ["colour", "topcoat"] }, rows);
    expect(chain.filter(({ place }) => place === "d1/surface").map(({ role }) => role)).toEqual(["colour", "topcoat", "colour"]);
  });
});

describe("a chain that is chosen anew", () => {
  const byHand: ChainLink[] = [
    FILLER,
    { ...COLOUR, place: "d1/surface", as: "under", coats: 3 },
    { ...CLEAR, place: "d1/surface", as: "clear", coats: 1 },
  ];

  test("keeps what was set by hand where the material is the same", () => {
    expect(keepingRows(byHand, [FILLER, COLOUR, CLEAR])).toEqual(byHand);
  });

  test("drops it where another material was taken", () => {
    const oil: ChainLink = { role: "colour", class: "oil-colour" };
    expect(keepingRows(byHand, [FILLER, oil, CLEAR])).toEqual([FILLER, oil, byHand[2]]);
  });

  test("a first choice is taken as it is", () => {
    expect(keepingRows([], [FILLER, COLOUR])).toEqual([FILLER, COLOUR]);
  });
});
