import type { MaterialClass, Range } from "../catalogue";
import { rate } from "./rate";

/** Working time in minutes as published, carried over to the room's temperature where that is known. */
export function workingRange({
  row,
  climate_C,
}: {
  readonly row: Pick<MaterialClass, "cure">;
  readonly climate_C?: number | undefined;
}): Range {
  const { reference_C, ea_kJ_mol, gels_ea_kJ_mol = ea_kJ_mol, stages } = row.cure;
  const published: Range = stages.find(({ stage }) => stage === "working")?.minutes ?? [Infinity, Infinity];
  const speed = climate_C === undefined ? 1 : rate(climate_C, reference_C, { kind: "arrhenius", ea_kJ_mol: gels_ea_kJ_mol });
  return [published[0] / speed, published[1] / speed];
}
