import { check } from "@/core/problem";
import { DeskInput } from "./inputs.schema";

const question = { stance: "service", picks: { filler: "epoxy-putty" }, forced: {} };
const what_if = { substrate: "stoneware", finish: "glaze", damage: { kind: "chip", depth_mm: 6 }, service: { wet: true }, climate_C: 19 };

test.each<[string, object, readonly string[]]>([
  ["as the page opens", question, []],
  ["with all that can be asked", { ...question, role: "colour", what_if, why_not: "pva", forced: { filler: "a trial" } }, []],
  ["a link that there is none of", { ...question, picks: { polish: "pva" } }, ["/picks", "/picks"]],
  ["a stance that nobody takes", { ...question, stance: "quick" }, ["/stance"]],
  [
    "a what-if with a figure out of the world",
    { ...question, what_if: { ...what_if, damage: { kind: "chip", depth_mm: -1 } } },
    ["/what_if/damage/depth_mm"],
  ],
])("a question at Match: %s", (_, asked, wrong) => {
  expect(check(DeskInput, asked).map(({ path }) => path)).toEqual(wrong);
});
