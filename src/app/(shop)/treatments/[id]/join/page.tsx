import { braceKindOf } from "@/core/join/kinds.data";
import type { WorkedDamage } from "@/core/plan/damageContext";
import type { DamageRecord } from "@/core/record/treatment";
import { cutsOf } from "@/core/views/cut";
import { BracePanel } from "@/ui/join/BracePanel";
import { JoiningOrder } from "@/ui/join/JoiningOrder";
import { Sections } from "@/ui/section/Sections";
import { type StationView, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/join">) => stationMetadata(params, "join");

export default async function JoinPage({ params }: PageProps<"/treatments/[id]/join">) {
  return stationPage(params, "join", (view) =>
    workStation(view, "join", {
      panels: (
        <>
          {view.worked && (
            <Sections
              treatment={view.id}
              piece={view.record.piece_title}
              cuts={cutsOf(view.worked, view.acts).filter(({ layers }) => layers.length === 0)}
            />
          )}
          {view.treatment.damages.map(({ id, survey, shards }) =>
            shards?.body.order && shards.body.order.length > 0 ? (
              <JoiningOrder key={id} of={survey.body.title} order={shards.body.order} />
            ) : null,
          )}
          {braces(view)}
        </>
      ),
    }),
  );
}

/** The brace of every damage that may have one. */
function braces({ id, treatment, worked }: StationView) {
  return worked?.repair.damages.map((damage) => {
    const record = treatment.damages.find((each) => each.id === damage.id);
    return record ? <Brace key={damage.id} treatment={id} damage={damage} record={record} /> : null;
  });
}

/** Ways that let something in, or may. */
const BRACED_WAYS = ["brace", "bond", "bridge", "build", "close", "humidify"];

function Brace({ treatment, damage, record }: { treatment: string; damage: WorkedDamage; record: DamageRecord }) {
  const { f } = damage.context;
  const question = BRACED_WAYS.includes(damage.way.way) ? damage.joint?.question : undefined;
  if (!question || question.support === "body") return null;
  const link = damage.links.find(({ role }) => role === "brace");
  const planned = link && braceKindOf(link.class);
  return (
    <BracePanel
      treatment={treatment}
      damage={damage.id}
      question={question}
      hatch={f.on.hatch}
      {...(planned ? { planned } : {})}
      {...(record.brace ? { recorded: record.brace.body } : {})}
    />
  );
}
