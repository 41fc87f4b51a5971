import { filmBudgetsOf } from "@/core/views/filmBudget";
import { levellingsOf } from "@/core/views/levelling";
import { LevelPanels } from "@/ui/level/LevelPanels";
import { spotsPanel, stationPage, workStation } from "../station";
import { stationMetadata } from "../title";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/level">) => stationMetadata(params, "level");

export default async function LevelPage({ params }: PageProps<"/treatments/[id]/level">) {
  return stationPage(params, "level", (view) =>
    workStation(view, "level", {
      panels: view.worked ? (
        <>
          <LevelPanels
            levellings={levellingsOf(view.worked, view.acts, view.air, view.now)}
            films={filmBudgetsOf(view.worked)}
            closed={view.treatment.closed !== undefined}
          />
          {spotsPanel(view)}
        </>
      ) : null,
    }),
  );
}
