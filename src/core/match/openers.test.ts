import { match } from "./match";
import type { MatchInput } from "./match.schema";

const ask = (over: Partial<MatchInput> & Pick<MatchInput, "substrate" | "damage">): MatchInput => ({
  finish: "none",
  service: {},
  stance: "service",
  ...over,
});
const warned = (input: MatchInput) => match(input).warnings.map(({ code, message }) => `${code}: ${message}`);

test("the one demand that closes every chain is named, and lifting it opens one", () => {
  const outdoors = ask({ substrate: "alabaster", finish: "paint", damage: { kind: "chip", depth_mm: 6 }, service: { outdoor: true } });
  expect(warned(outdoors)).toContain("opens-demand: A chain would hold if the piece were kept indoors.");
  expect(match({ ...outdoors, service: {} }).chains.length).toBeGreaterThan(0);
});

test("a joint that gapes is told to be closed first, where closing it opens a chain", () => {
  const gaping = ask({ substrate: "hardwood", damage: { kind: "break-along", gap_mm: 12 } });
  expect(match(gaping).chains).toEqual([]);
  expect(warned(gaping)).toContain("opens-way: Close the joint first, by hand, clamp or damp air: faces that meet take a glue.");
  expect(match({ ...gaping, damage: { ...gaping.damage, closes: true } }).chains.length).toBeGreaterThan(0);
});

test("an assembly longer than any glue stays open is told to be split", () => {
  const long = ask({ substrate: "hardwood", damage: { kind: "loose-joint", gap_mm: 0.1 }, working_min: 100_000 });
  expect(match(long).chains).toEqual([]);
  expect(warned(long)).toContain("opens-way: Split the assembly: joins made one by one have time enough.");
});

test("an override is offered with what stands against it, never one that harms people or does not hold", () => {
  const worn = ask({ substrate: "bone-antler-horn", damage: { kind: "worn-thin", depth_mm: 0.8 }, service: { acoustic: true } });
  expect(warned(worn).some((line) => line.includes("Metal pin"))).toBe(false);
  const leather = ask({ substrate: "leather", finish: "dye", damage: { kind: "eroded", depth_mm: 1 }, service: { outdoor: true } });
  expect(warned(leather)).toContainEqual(
    expect.stringMatching(/^opens-override: Consolidant: .* may be taken with a reason\. Against it: .*outdoors\.$/),
  );
});

test("nothing is offered where a chain holds", () => {
  expect(warned(ask({ substrate: "stoneware", finish: "glaze", damage: { kind: "chip", depth_mm: 6 } }))).toEqual([]);
});
