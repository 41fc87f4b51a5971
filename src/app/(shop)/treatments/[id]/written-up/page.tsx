import { operationViews } from "@/core/views/operationView";
import { upRows } from "@/core/views/writtenUp";
import { Sign } from "@/ui/signs/Sign";
import { StationBody } from "@/ui/stations/StationBody";
import { WrittenUp } from "@/ui/writtenUp/WrittenUp";
import { Earlier } from "../Earlier";
import { stationPage } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/written-up">) => stationMetadata(params, "written-up");

export default async function WrittenUpPage({ params }: PageProps<"/treatments/[id]/written-up">) {
  return stationPage(params, "written-up", ({ id, record, treatment, worked, acts, air, products, now, item }) => {
    if (item.brief.broken) return null;
    if (treatment.closed)
      return (
        <StationBody>
          <Sign name="done">This treatment is signed and closed: reopen it at Close to write something up.</Sign>
        </StationBody>
      );
    if (!worked)
      return (
        <Earlier
          id={id}
          first={treatment.damages.length > 0 ? "match" : "survey"}
          why="What can be written up follows from survey and materials."
        />
      );
    const last = Math.max(...[...worked.marks.values()].map(({ at }) => Date.parse(at)));
    return (
      <StationBody>
        <WrittenUp
          treatment={id}
          version={record.version}
          rows={upRows(worked, operationViews(treatment, worked, acts, products, now))}
          air={air}
          several={treatment.damages.length > 1}
          {...(Number.isFinite(last) ? { last_at: last } : {})}
        />
      </StationBody>
    );
  });
}
