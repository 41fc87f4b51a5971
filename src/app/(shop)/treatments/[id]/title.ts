import type { Metadata } from "next";
import { type Station, stationLabel } from "@/core/catalogue";
import { treatmentTitle } from "@/work/treatments";

/** A page is named after its piece and its station: "Prize dish, Fill". */
export async function stationMetadata(params: Promise<{ id: string }>, at: Station | "written-up"): Promise<Metadata> {
  const label = at === "written-up" ? "Written up" : stationLabel(at);
  const piece = await treatmentTitle((await params).id).catch(() => undefined);
  return { title: piece ? `${piece}, ${label}` : label };
}
