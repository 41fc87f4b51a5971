import { braceQuestions } from "@/core/views/braceQuestions";
import { cutsOf } from "@/core/views/cut";
import { BracePanel } from "@/ui/join/BracePanel";
import { JoiningOrder } from "@/ui/join/JoiningOrder";
import { Sections } from "@/ui/section/Sections";
import { stationPage, workStation } from "../station";
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
          {view.worked &&
            braceQuestions(view.treatment, view.worked).map((each) => <BracePanel key={each.damage} treatment={view.id} {...each} />)}
        </>
      ),
    }),
  );
}
