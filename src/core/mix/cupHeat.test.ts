import { classRow } from "../catalogue";
import { cupFactor } from "./cupHeat";

const EPOXY = classRow("epoxy-slow");

test("ten times the stated mass halves the pot life; less than stated changes nothing, and plaster knows no cup", () => {
  expect(cupFactor(EPOXY, 1000)).toBeCloseTo(0.5, 2);
  expect([cupFactor(EPOXY, 100), cupFactor(EPOXY, 5)]).toEqual([1, 1]);
  expect(cupFactor(classRow("gypsum-plaster"), 5000)).toBe(1);
});
