import { DrillCard } from "@/ui/join/DrillCard";
import { treatmentPage } from "@/work/treatments";
import { asId, withRecord } from "../../../(shop)/withRecord";

export const metadata = { title: "Drill card" };

/** The drill card on A6, for print: it stands alone, without bar and Shelf. */
export default async function DrillCardPage({ params, searchParams }: PageProps<"/treatments/[id]/drill-card">) {
  const id = asId((await params).id);
  const asked = await searchParams;
  const text = (name: string) => (typeof asked[name] === "string" ? asked[name].slice(0, 40) : "");
  return withRecord(
    () => treatmentPage(id),
    ({ record }) => (
      <DrillCard
        treatment={id}
        title={`${record.piece_title}, ${record.title}`}
        reference={record.reference}
        depth_mm={Math.min(300, Math.max(0, Number(text("depth")) || 0))}
        drills={[
          ["Pilot", text("pilot")],
          ["Hole", text("hole")],
        ]}
      />
    ),
  );
}
