import fc from "fast-check";
import type { Station } from "../catalogue";
import { coatsLeft } from "./coatsLeft";
import { CHOSEN, done, see, type Told } from "./story.fixture";

const under = (station: Station): Told => [5000, { kind: "round-opened", station, places: ["d1/surface", "d1/loss"], because: "it shows" }];

/** A story in which all that is open is done, then gone back from these stations, each time worked off to its end. */
function storyOf(stations: readonly Station[]): readonly Told[] {
  let told: readonly Told[] = CHOSEN;
  for (const station of stations) {
    const at = 10_000 * (told.length + 1);
    const open = see(told).worked.repair.operations.filter(({ status, station: where }) => status === "open" && where !== "close");
    told = told.concat(
      open.map(({ id }, i): Told => [at + i * 600, done(id)]),
      [[at + 90_000, under(station)[1]]],
    );
  }
  return told;
}

test("a round that takes the coats off lays them once more: as many lie there in the end as in the first round", () => {
  const first = coatsLeft(see(CHOSEN).worked.repair.operations, "d1");
  expect(first.map(({ role }) => role)).toEqual(["colour", "colour", "topcoat", "topcoat"]);
  fc.assert(
    fc.property(fc.array(fc.constantFrom<Station>("fill", "level", "colour"), { minLength: 1, maxLength: 3 }), (stations) => {
      const { repair } = see(storyOf(stations)).worked;
      const left = coatsLeft(repair.operations, "d1");
      // back to Colour the colour under the clear stays, and takes a coat more at most
      expect(left.filter(({ role }) => role === "topcoat")).toHaveLength(2);
      expect(new Set(left.map(({ id }) => id)).size).toBe(left.length);
      if (stations.at(-1) !== "colour") expect(left.map(({ role }) => role)).toEqual(first.map(({ role }) => role));
    }),
    { numRuns: 12 },
  );
});
