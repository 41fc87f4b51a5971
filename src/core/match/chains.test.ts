import fc from "fast-check";
import { CLASS_ROWS, classRow, DAMAGE_KINDS, FINISHES, type Role, STANCES, SUBSTRATES } from "../catalogue";
import { factsOf, type Shelf } from "./case";
import { bestChains, CONDITION_COST, clashesWith, KEY_WEIGHT } from "./chains";
import { type Judgement, judge, reasonsOf } from "./judge";
import { matching } from "./match";
import type { MatchInput } from "./match.schema";
import type { Matching } from "./matching";
import { releasesFor } from "./releases";
import { keyRole } from "./roles";
import { jars } from "./shelf.fixture";

const inputs: fc.Arbitrary<MatchInput> = fc.record({
  substrate: fc.constantFrom(...SUBSTRATES.map(({ substrate }) => substrate)),
  finish: fc.constantFrom(...FINISHES.map(({ finish }) => finish)),
  damage: fc.record({
    kind: fc.constantFrom(...DAMAGE_KINDS),
    gap_mm: fc.constantFrom(0.05, 0.1, 0.4, 3),
    depth_mm: fc.constantFrom(0.1, 1, 5, 18),
  }),
  service: fc.record({ wet: fc.boolean(), outdoor: fc.boolean(), touched: fc.boolean() }),
  stance: fc.constantFrom(...STANCES),
  climate_C: fc.constantFrom(9, 18, 24),
});

/** The best score by trying every chain that keeps to one class in the key role. */
function exhaustive(input: MatchInput, shelf: Shelf | undefined, { byRole, roles }: Matching, key: Role, name: string): number {
  const facts = factsOf(input, shelf);
  const lists = roles.map((role) =>
    (byRole.get(role) ?? []).filter((each) => each.verdict !== "refused" && (role !== key || each.row.class === name)),
  );
  const whole = lists.length - 1 + KEY_WEIGHT;
  let best = Number.NEGATIVE_INFINITY;
  const walk = (links: readonly Judgement[], score: number) => {
    if (links.length === lists.length) best = Math.max(best, score);
    for (const next of lists[links.length] ?? []) {
      const clashes = clashesWith(facts, links, next);
      if (clashes.some(({ effect }) => effect === "refuse")) continue;
      walk([...links, next], score + ((next.role === key ? KEY_WEIGHT : 1) * next.score) / whole - CONDITION_COST * clashes.length);
    }
  };
  walk([], 0);
  return best;
}

test("the search finds the same optimum as trying every chain", () => {
  fc.assert(
    fc.property(inputs, (input) => {
      const found = matching(input);
      const key = keyRole(found.roles);
      if (key === undefined) return;
      for (const chain of found.chains.slice(0, 2)) {
        const name = chain.links.find(({ role }) => role === key)?.row.class ?? "";
        expect(chain.score).toBeCloseTo(exhaustive(input, undefined, found, key, name), 6);
      }
    }),
    { numRuns: 20 },
  );
});

test("with own jars among the candidates too", () => {
  const shelf = { jars: jars(60), need_cm3: { filler: 2, adhesive: 2 } };
  const input: MatchInput = {
    substrate: "hardwood",
    finish: "paint",
    damage: { kind: "hole", depth_mm: 5, gap_mm: 8 },
    service: { touched: true },
    stance: "service",
    climate_C: 20,
  };
  const found = matching(input, shelf);
  for (const chain of found.chains) {
    const name = chain.links.find(({ role }) => role === "filler")?.row.class ?? "";
    expect(chain.score).toBeCloseTo(exhaustive(input, shelf, found, "filler", name), 6);
  }
});

test("no two chains rest on the same class: the choices really differ", () => {
  fc.assert(
    fc.property(inputs, (input) => {
      const { chains, roles } = matching(input, { jars: jars(80) });
      const keys = chains.map(({ links }) => links.find(({ role }) => role === keyRole(roles))?.row.class);
      expect(new Set(keys).size).toBe(keys.length);
    }),
    { numRuns: 30 },
  );
});

test("a chain holds every link that is needed, and no clash that refuses", () => {
  fc.assert(
    fc.property(inputs, (input) => {
      const { chains, roles } = matching(input);
      for (const { links, clashes } of chains) {
        expect(links.map(({ role }) => role)).toEqual(roles);
        expect(clashes.some(({ effect }) => effect === "refuse")).toBe(false);
      }
    }),
    { numRuns: 40 },
  );
});

test("the order in which jars and answers come never changes the result", () => {
  const key = ({ chains }: Matching) =>
    chains.map(({ links, score }) => [score, ...links.map(({ row, product }) => product?.id ?? row.class)]);
  fc.assert(
    fc.property(inputs, fc.shuffledSubarray(jars(60), { minLength: 60, maxLength: 60 }), (input, shuffled) => {
      const turned = Object.fromEntries(Object.entries(input).reverse()) as MatchInput;
      expect(key(matching(turned, { jars: shuffled }))).toEqual(key(matching(input, { jars: jars(60) })));
    }),
    { numRuns: 20 },
  );
});

test("what fits by itself but under no coat is refused with the clash that keeps it out, and nothing unchained is left", () => {
  const found = matching({
    substrate: "stoneware",
    finish: "glaze",
    damage: { kind: "chip", depth_mm: 3 },
    service: {},
    stance: "reversible",
  });
  const wax = found.byRole.get("filler")?.find(({ row }) => row.class === "wax-fill");
  expect(wax?.verdict).toBe("refused");
  expect(wax?.fired.map(({ id }) => id)).toContain("coat-on-wax");
  fc.assert(
    fc.property(inputs, (input) => {
      const { byRole, chains, roles } = matching(input);
      const key = keyRole(roles);
      if (key === undefined || chains.length === 0) return;
      const able = (byRole.get(key) ?? []).filter(({ verdict }) => verdict !== "refused").map(({ row }) => row.class);
      expect(new Set(able)).toEqual(new Set(chains.map(({ links }) => links.find(({ role }) => role === key)?.row.class)));
    }),
    { numRuns: 40 },
  );
});

describe("own jars", () => {
  const ask: MatchInput = {
    substrate: "stoneware",
    finish: "glaze",
    damage: { kind: "chip", depth_mm: 6 },
    service: {},
    stance: "reversible",
  };
  const jar = { id: "00000000-0000-4000-8000-000000000001", name: "The blue tub", class: "epoxy-putty", figures: {}, left_g: 80 } as const;
  const fillers = (input: MatchInput, shelf: Shelf) => matching(input, shelf).byRole.get("filler") ?? [];
  const tub = (over: object, input = ask, filler = 1) =>
    fillers(input, { jars: [{ ...jar, ...over }], need_cm3: { filler } }).find(({ product }) => product);

  test("stand beside their class and are judged by their own figures", () => {
    expect(tub({})?.verdict).toBe("fits");
    expect(tub({ figures: { layer_mm: [0.5, 0.5] } })?.verdict).toBe("refused");
    expect(tub({ figures: { min_C: [15, 15] } }, { ...ask, climate_C: 12 })?.verdict).toBe("refused");
  });

  test("that are empty or have gone off are refused; what runs short is a condition", () => {
    expect(tub({ left_g: 0 })?.verdict).toBe("refused");
    expect(tub({ days_left: -3 })?.verdict).toBe("refused");
    expect(tub({ left_g: 1 }, ask, 10)?.verdict).toBe("fits-if");
  });

  test("of glue are held against the film over the real faces, not against the loss", () => {
    const bond: MatchInput = { ...ask, substrate: "hardwood", damage: { kind: "break-along" } };
    const glue = { ...jar, class: "pva", left_g: 2 } as const;
    // 240 × 80 mm of faces on each side at 0.1 mm: 1.92 cm³, with 60 % squeeze-out at 1.1 g/cm³ 3.38 g
    const own = matching(bond, { jars: [glue], need_cm3: { filler: 0, adhesive: 1.92 } }).byRole.get("adhesive");
    const found = own?.find(({ product }) => product);
    expect(found?.verdict).toBe("fits-if");
    expect(found && reasonsOf(found).map(({ text }) => text)).toContain("Fits if you buy more: 2 g are left, and about 3.38 g are needed.");
  });

  test("come first where nothing else tells them from their class, which has to be bought", () => {
    const own = tub({});
    const bought = fillers(ask, { jars: [jar], need_cm3: { filler: 1 } }).find(
      ({ row, product }) => !product && row.class === "epoxy-putty",
    );
    expect(own && bought && own.score > bought.score).toBe(true);
  });

  test("are all there is where only stock was asked for", () => {
    const able = fillers({ ...ask, stock_only: true }, { jars: [jar] }).filter(({ verdict }) => verdict !== "refused");
    expect(able.map(({ product }) => product?.name)).toEqual(["The blue tub"]);
  });
});

describe("release agents", () => {
  const facts = factsOf({
    substrate: "gypsum",
    finish: "none",
    damage: { kind: "corner", depth_mm: 20 },
    service: {},
    stance: "reversible",
  });
  const link = (name: Parameters<typeof classRow>[0], role: Role = "filler") => ({ role, row: classRow(name) });
  const verdicts = (...chain: ReturnType<typeof link>[]) =>
    Object.fromEntries(releasesFor(facts, chain).map(({ row, verdict }) => [row.class, verdict]));

  test("part plaster by soap, resin not; jelly stains open pores", () => {
    expect(verdicts(link("gypsum-plaster"))["soap-release"]).toBe("fits");
    expect(verdicts(link("epoxy-putty"))["soap-release"]).toBe("refused");
    expect(verdicts(link("gypsum-plaster"))["petroleum-jelly"]).toBe("refused");
  });

  test("left under colour are a condition that says how they come off", () => {
    const soap = releasesFor(facts, [link("gypsum-plaster"), link("acrylic-paint", "colour")]).find(
      ({ row }) => row.class === "soap-release",
    );
    expect([soap?.verdict, soap?.reasons.map(({ text }) => text).join()]).toEqual([
      "fits-if",
      "Fits if every trace is off before colour: clean water.",
    ]);
  });

  test("serve in no link, so a chain never holds one", () => {
    for (const { row } of releasesFor(facts, [])) expect(row.roles).toEqual([]);
    expect(CLASS_ROWS.filter(({ roles }) => roles.length === 0).every(({ group }) => group === "release")).toBe(true);
  });
});

test("a chain that was asked for no key role is no chain", () => {
  const facts = factsOf({ substrate: "stone", damage: { kind: "stain" }, service: {}, stance: "service" });
  expect(bestChains(facts, new Map())).toEqual([]);
  expect(judge({ ...facts, row: classRow("lime-mortar"), role: "filler" }).verdict).not.toBe("refused");
});
