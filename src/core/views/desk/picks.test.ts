import { factsOf, type Shelf } from "../../match/case";
import { clashesWith } from "../../match/chains";
import type { Judgement } from "../../match/judge";
import { matching } from "../../match/match";
import type { MatchInput } from "../../match/match.schema";
import {
  askedPlaces,
  candidates,
  chainFor,
  changesSince,
  forcedOf,
  givenWay,
  keyOf,
  otherWould,
  picksOf,
  refusedOf,
  shared,
  summary,
} from "./picks";

const ask = (over: Partial<MatchInput> = {}): MatchInput => ({
  substrate: "stoneware",
  finish: "glaze",
  damage: { kind: "chip", depth_mm: 6 },
  service: {},
  stance: "reversible",
  ...over,
});
const shelf: Shelf = {
  jars: [{ id: "00000000-0000-4000-8000-000000000001", name: "The blue tub", class: "epoxy-putty", figures: {}, left_g: 80 }],
};
const names = (input: MatchInput, cabinet?: Shelf, picked?: string) =>
  candidates(matching(input, cabinet), "filler", picked).map(({ row }) => row.name);

test("candidates of the key link stand in the order of their chains", () => {
  const found = matching(ask());
  const order = candidates(found, "filler").map(keyOf);
  expect(order).toEqual(found.chains.map(({ links }) => links.find(({ role }) => role === "filler")?.row.class));
});

test("a class of which a jar is here is not listed twice, unless it was picked itself", () => {
  expect(names(ask(), shelf)).toContain("The blue tub");
  expect(names(ask(), shelf)).not.toContain("Epoxy putty");
  expect(names(ask(), shelf, "epoxy-putty")).toEqual(expect.arrayContaining(["The blue tub", "Epoxy putty"]));
});

test("the chain keeps to what was picked, class or jar; a pick that is refused now gives way", () => {
  const found = matching(ask(), shelf);
  const filler = (key: string) => chainFor(found, { filler: key }).find(({ role }) => role === "filler");
  expect(filler("polyester-filler")?.row.class).toBe("polyester-filler");
  expect(filler(shelf.jars[0]?.id ?? "")?.row.name).toBe("The blue tub");
  expect(filler("gypsum-plaster")?.row.class).not.toBe("gypsum-plaster");
  expect(chainFor(found, {}).map(({ role }) => role)).toEqual(found.roles);
});

test("a choice on record comes back as picks, jars by their id", () => {
  const jar = shelf.jars[0];
  if (!jar) throw new Error("no jar");
  const product = { id: jar.id, name: jar.name, figures: {} };
  expect(
    picksOf([
      { role: "filler", class: "epoxy-putty", product },
      { role: "colour", class: "acrylic-paint" },
    ]),
  ).toEqual({
    filler: jar.id,
    colour: "acrylic-paint",
  });
});

test("what a what-if changed is said of each: moved, refused before, or fitted before", () => {
  const [before, after] = [matching(ask()), matching(ask({ service: { outdoor: true, wet: true } }))];
  const changes = changesSince(before, after, "filler");
  expect(changes.get("acrylic-dispersion-filler")).toBe("fitted before");
  expect([...changes.values()].some((words) => /^was \d|^was (1st|2nd|3rd)/.test(words))).toBe(true);
  expect(changesSince(after, before, "filler").get("acrylic-dispersion-filler")).toBe("was refused");
  expect(changesSince(before, before, "filler").size).toBe(0);
});

test("a new condition is marked where the place stays the same", () => {
  const only = ask({ substrate: "leather", finish: "dye", damage: { kind: "tear", gap_mm: 0.1 } });
  const changes = changesSince(matching(only), matching({ ...only, service: { food: true } }), "adhesive");
  expect([...changes.values()]).toContain("new condition");
});

test("conditions that all candidates carry are said once, and not again in each sum-up", () => {
  const judged = candidates(matching(ask({ service: { food: true } })), "filler");
  const common = shared(judged);
  expect(common.map(({ rule }) => rule)).toEqual(["food-decorative"]);
  for (const judgement of judged) expect(summary(judgement, common)).not.toContain("food stays off");
  expect(shared(judged.slice(0, 1))).toEqual([]);
});

test("refusals with a reason of their own are told; what simply does not hold is listed", () => {
  const { told, plain } = refusedOf(matching(ask({ service: { wet: true } })), "filler");
  expect(told.map(({ row }) => row.class)).toContain("gypsum-plaster");
  expect(plain.map(({ row }) => row.class)).toContain("flexible-compound");
  expect(told.some((each) => plain.includes(each))).toBe(false);
});

test("what the other stance would pick is said without switching", () => {
  const shards = ask({ substrate: "bone-china", damage: { kind: "shards", gap_mm: 0.1 }, service: { wet: true, load: true } });
  const [own, other] = [matching(shards), matching({ ...shards, stance: "service" })];
  expect(otherWould(other, own, "reversible")).toMatch(/^Service first would pick/);
  expect(otherWould(own, own, "reversible")).toBe("Service first would pick the same");
  expect(otherWould(matching(ask({ climate_C: -40 })), own, "service")).toBe("Reversible first finds nothing either");
});

describe("against the rules", () => {
  const wet = ask({ service: { wet: true } });

  test("a refused pick stands in the chain only with its reason, and gives way without", () => {
    const found = matching(wet);
    const filler = (forced: Parameters<typeof chainFor>[2]) =>
      chainFor(found, { filler: "gypsum-plaster" }, forced).find(({ role }) => role === "filler")?.row.class;
    expect(filler({ filler: "a trial for the class" })).toBe("gypsum-plaster");
    expect(filler({})).not.toBe("gypsum-plaster");
  });

  test("the reasons on record come back to their links", () => {
    expect(
      forcedOf([
        { role: "filler", class: "gypsum-plaster", because: "a trial" },
        { role: "colour", class: "acrylic-paint" },
      ]),
    ).toEqual({ filler: "a trial" });
  });
});

test("a what-if changes the figures of its places, and only those that it names", () => {
  const surveyed = ask({ working_min: 10 });
  const places = {
    roles: ["adhesive", "filler"] as const,
    at: { adhesive: { damage: { gap_mm: 0.1 }, working_min: 5 }, filler: { damage: { depth_mm: 6 }, working_min: "none" as const } },
  };
  expect(askedPlaces(places, surveyed, surveyed)).toEqual(places);
  const wider = askedPlaces(places, surveyed, { ...surveyed, damage: { ...surveyed.damage, gap_mm: 2 } });
  expect([wider.at.adhesive?.damage.gap_mm, wider.at.filler?.damage.depth_mm]).toEqual([2, 6]);
  const slower = askedPlaces(places, surveyed, { ...surveyed, working_min: 40 });
  expect([slower.at.adhesive?.working_min, slower.at.filler?.working_min]).toEqual([40, "none"]);
});

describe("what stood beside a new pick", () => {
  const cases: readonly MatchInput[] = [
    ask({ substrate: "gypsum", finish: "none", damage: { kind: "eroded", depth_mm: 8 }, found: { powders: true } }),
    ask({ substrate: "hardwood", finish: "shellac", damage: { kind: "chip", depth_mm: 6 } }),
    ask({ substrate: "leather", finish: "dye", damage: { kind: "tear", depth_mm: 1.5, gap_mm: 1 }, service: { flex: true } }),
  ];

  test.each(cases.map((input) => [`${input.substrate}, ${input.damage.kind}`, input] as const))(
    "%s: stays where nothing refuses it",
    (_, input) => {
      const found = matching(input);
      const facts = factsOf(input);
      const refused = (links: readonly Judgement[]) =>
        links.some((link, i) => clashesWith(facts, links.slice(0, i), link).some(({ effect }) => effect === "refuse"));
      const shown = Object.fromEntries(chainFor(found, {}).map((link) => [link.role, keyOf(link)]));
      for (const { row } of candidates(found, "filler")) {
        const chain = chainFor(found, { filler: row.class }, {}, shown, refused);
        expect(chain.find(({ role }) => role === "filler")?.row.class).toBe(row.class);
        for (const [role, before] of givenWay(chain, { filler: row.class }, shown)) {
          const back = chain.map((link) =>
            link.role === role ? (found.byRole.get(role)?.find((each) => keyOf(each) === before) ?? link) : link,
          );
          expect([row.class, role, refused(back)]).toEqual([row.class, role, true]);
        }
      }
    },
  );
});
