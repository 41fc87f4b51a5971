import type { Metadata } from "next";
import { type Station, stationLabel } from "@/core/catalogue";
import { treatmentTitle } from "@/work/treatments";

/** A page is named after its piece and its station: "Prize dish, Fill". */
export async function stationMetadata(params: Promise<{ id: string }>, station: Station): Promise<Metadata> {
  const piece = await treatmentTitle((await params).id).catch(() => undefined);
  return { title: piece ? `${piece}, ${stationLabel(station)}` : stationLabel(station) };
}
