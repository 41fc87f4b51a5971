import { COAT_TEMPLATES } from "../colour/templates.data";
import { rowsFrom } from "./buildRows";
import { clearFilm_um, coatSchemes, colourCoats } from "./coats";
import { AIR, CHOSEN, done, see, type Told } from "./story.fixture";

const seen = see(CHOSEN);
const [under] = colourCoats(seen.worked);

test("the coats that colour is mixed for, those of one kind together; what is laid is mixed for no more", () => {
  expect(colourCoats(seen.worked)).toMatchObject([{ label: "Undercolour", class: "acrylic-paint", count: 2 }]);
  const first = seen.acts.find(({ op }) => op.id.includes("/colour/under-1"))?.op;
  const laid: readonly Told[] = [...CHOSEN, [1, done(first?.id ?? "")]];
  expect(colourCoats(see(laid).worked)).toMatchObject([{ count: 1, mass_g: (under?.mass_g ?? 0) - (first?.mass_g ?? 0) }]);
});

test("every material that is coated, as thin or thick coats of one film; the planned number stands among them", () => {
  const schemes = coatSchemes(seen.worked, AIR);
  expect(schemes.map(({ material, planned }) => [material, planned])).toEqual([
    ["Acrylic paint and pigments", 2],
    ["Clear acrylic gloss", 2],
  ]);
  for (const { schemes: rows, planned, best } of schemes) {
    expect(rows.find(({ coats }) => coats === planned)?.runs).toBe(false);
    expect(rows.find(({ coats }) => coats === best)?.runs).toBe(false);
  }
  expect(clearFilm_um(seen.worked)).toBeCloseTo(schemes[1]?.dry_um ?? 0, 9);
});

describe("templates of coats", () => {
  const candidates = {
    colour: [
      { class: "acrylic-paint", name: "Acrylic" },
      { class: "metal-leaf", name: "Leaf" },
    ],
    topcoat: [{ class: "clear-acrylic", name: "Clear", product: { id: "11111111-1111-4111-8111-111111111111", name: "Jar", figures: {} } }],
  } as const;
  const rows = [{ role: "colour", class: "watercolour" }] as const;
  const template = (name: string) => COAT_TEMPLATES.find((each) => each.template === name) ?? COAT_TEMPLATES[0];
  const of = (name: string) => {
    const found = template(name);
    return found ? rowsFrom(found, { rows: [...rows], candidates }) : [];
  };

  test("take what they name where it fits, else what stands there, else the first that fits", () => {
    expect(of("leaf").map(({ as, class: name }) => [as, name])).toEqual([
      ["leaf", "metal-leaf"],
      ["lock", "clear-acrylic"],
      ["tone", "acrylic-paint"],
      ["clear", "clear-acrylic"],
    ]);
    expect(of("mottled").map(({ as, class: name, coats }) => [as, name, coats])).toEqual([
      ["under", "watercolour", 2],
      ["pattern", "watercolour", 3],
      ["clear", "clear-acrylic", 2],
    ]);
    expect(of("mottled").at(-1)?.product?.name).toBe("Jar");
  });
  test("what fits no place leaves no row behind", () => {
    const found = COAT_TEMPLATES[0] && rowsFrom(COAT_TEMPLATES[0], { rows: [], candidates: { colour: candidates.colour } });
    expect(found?.some(({ role }) => role === "topcoat")).toBe(false);
  });
  test("each ends in what protects it, and says how it is done", () => {
    for (const { rows: all, how } of COAT_TEMPLATES) {
      expect(all.at(-1)?.as).toBe("clear");
      expect(how).toMatch(/\.$/);
    }
  });
});
