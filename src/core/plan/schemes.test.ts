import { CLASS_ROWS, classRow, dryFilmUm } from "../catalogue";
import { quickest, schemesOf } from "./schemes";

const AIR = { temp_C: 20, rh_pct: 50 };
const lacquer = classRow("clear-lacquer");
const full = dryFilmUm(lacquer, lacquer.max_layer_mm);

describe("one film in thin coats or in thick ones", () => {
  test("the wet films of a scheme add up to the dry film that is wanted", () => {
    for (const { coats, wet_um } of schemesOf(lacquer, full * 2, AIR) ?? [])
      expect(dryFilmUm(lacquer, (wet_um * coats) / 1000)).toBeCloseTo(full * 2, 6);
  });
  test("what dries is sooner dry in two coats than in one; twice the film at once runs", () => {
    const [one, two] = schemesOf(lacquer, full * 2, AIR) ?? [];
    expect(one?.runs).toBe(true);
    expect(two?.runs).toBe(false);
    expect((one?.together_min[0] ?? 0) / (two?.together_min[0] ?? 1)).toBeCloseTo(2, 1);
  });
  test("what reacts gains nothing by thin coats: each has its own wait", () => {
    const glaze = classRow("cold-glaze");
    const [one, two] = schemesOf(glaze, dryFilmUm(glaze, glaze.max_layer_mm), AIR) ?? [];
    expect(two?.between_min).toEqual(one?.between_min);
    expect((two?.together_min[0] ?? 0) / (one?.together_min[0] ?? 1)).toBeCloseTo(2, 9);
    expect(quickest(schemesOf(glaze, dryFilmUm(glaze, glaze.max_layer_mm), AIR) ?? [])?.coats).toBe(1);
  });
  test("the quickest never runs, in every class that is coated; a putty has none", () => {
    for (const row of CLASS_ROWS.filter(({ group }) => group === "topcoat" || group === "colour")) {
      const schemes = schemesOf(row, dryFilmUm(row, row.max_layer_mm), AIR);
      if (schemes) expect(quickest(schemes)?.runs ?? false).toBe(false);
    }
    expect(schemesOf(classRow("epoxy-putty"), 100, AIR)).toBeUndefined();
  });
});
