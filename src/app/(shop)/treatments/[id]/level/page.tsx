import { filmBudgetsOf } from "@/core/views/filmBudget";
import { levellingsOf } from "@/core/views/levelling";
import { AlikePane, FilmPane, LadderPane, SinkingPane, SurfacePane } from "@/ui/instruments/instruments";
import { spotsPanel, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/level">) => stationMetadata(params, "level");

export default async function LevelPage({ params }: PageProps<"/treatments/[id]/level">) {
  return stationPage(params, "level", (view) =>
    workStation(view, "level", {
      instruments: (worked) => {
        const levellings = levellingsOf(worked, view.acts, view.air, view.now);
        const films = filmBudgetsOf(worked);
        const closed = view.treatment.closed !== undefined;
        return {
          ...(levellings.length > 0
            ? {
                ladder: <LadderPane levellings={levellings} films={films} closed={closed} />,
                surface: <SurfacePane levellings={levellings} />,
                alike: <AlikePane levellings={levellings} />,
              }
            : {}),
          ...(films.length > 0 ? { film: <FilmPane films={films} /> } : {}),
          ...(levellings.some(({ wait }) => wait) ? { sinking: <SinkingPane levellings={levellings} /> } : {}),
          found: spotsPanel(view),
        };
      },
    }),
  );
}
