import { braceQuestions } from "@/core/views/braceQuestions";
import { cutsOf } from "@/core/views/cut";
import { BracePanel, Sections } from "@/ui/instruments/instruments";
import { JoiningOrder } from "@/ui/join/JoiningOrder";
import { dryRuns } from "../dryRuns";
import { stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/join">) => stationMetadata(params, "join");

export default async function JoinPage({ params }: PageProps<"/treatments/[id]/join">) {
  return stationPage(params, "join", (view) =>
    workStation(view, "join", {
      instruments: (worked) => {
        const { id, treatment, record, acts } = view;
        const runs = dryRuns(view, worked);
        const orders = treatment.damages.flatMap(({ id: damage, survey, shards }) =>
          shards?.body.order && shards.body.order.length > 0
            ? [<JoiningOrder key={damage} of={survey.body.title} order={shards.body.order} />]
            : [],
        );
        const braces = braceQuestions(treatment, worked).map((each) => <BracePanel key={each.damage} treatment={id} {...each} />);
        const cuts = cutsOf(worked, acts).filter(({ layers }) => layers.length === 0);
        return {
          ...(runs.length + orders.length > 0 ? { clamps: [...orders, ...runs] } : {}),
          ...(braces.length > 0 ? { brace: braces } : {}),
          ...(cuts.length > 0 ? { section: <Sections treatment={id} piece={record.piece_title} cuts={cuts} /> } : {}),
        };
      },
    }),
  );
}
