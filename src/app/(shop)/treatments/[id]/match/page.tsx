import type { DamageRecord } from "@/core/record/treatment";
import { firstQuestion } from "@/core/views/desk/desk";
import { Link } from "@/ui/frame/Link";
import { MatchStation } from "@/ui/match/MatchStation";
import { StationBody } from "@/ui/stations/StationBody";
import { Earlier } from "../Earlier";
import { buildPanel, type StationView, stationPage } from "../station";
import { stationMetadata } from "../title";
import { answerTo, toldOf } from "./answer";
import { askDesk } from "./ask";

export const generateMetadata = ({ params }: PageProps<"/treatments/[id]/match">) => stationMetadata(params, "match");

export default async function MatchPage({ params, searchParams }: PageProps<"/treatments/[id]/match">) {
  const { damage } = await searchParams;
  return stationPage(params, "match", (view) => matchView(view, typeof damage === "string" ? damage : undefined));
}

function matchView(view: StationView, asked: string | undefined) {
  const { id, treatment } = view;
  const shown =
    treatment.damages.find((each) => each.id === asked) ?? treatment.damages.find(({ settled }) => !settled) ?? treatment.damages[0];
  if (!shown) return <Earlier id={id} first="survey" why="Match needs to know what is wrong. Survey the damage first." />;
  return <DamageMatch key={shown.id} view={view} damage={shown} />;
}

/** Which damage is matched here; a mark where its materials are chosen. */
function Damages({ view: { id, treatment, damages }, shown }: { view: StationView; shown: string }) {
  return (
    <nav aria-label="Damages" className="flex flex-wrap items-center">
      {treatment.damages.map(({ id: damage, settled }, i) => {
        const title = damages.find((each) => each.treatment === id && each.damage === damage)?.title ?? damage;
        return (
          <Link
            key={damage}
            className="grid size-[44px] place-items-center"
            aria-current={damage === shown ? "true" : undefined}
            aria-label={`${i + 1} ${title}${settled ? ", chosen" : ""}`}
            title={title}
            href={`/treatments/${id}/match?damage=${damage}`}
          >
            <span className={`tok ${damage === shown ? "on" : ""}`}>{i + 1}</span>
          </Link>
        );
      })}
    </nav>
  );
}

function DamageMatch({ view, damage }: { view: StationView; damage: DamageRecord }) {
  const { id } = view;
  const { facts, way, because, referrals } = toldOf(view, damage);
  const several = view.treatment.damages.length > 1;
  if (!facts)
    return (
      <StationBody>
        {several && <Damages view={view} shown={damage.id} />}
        <p className="max-w-[560px] py-4 text-read leading-[22px]">
          You decided: {way.toLowerCase()}. No chain of materials is needed; Make ready holds what is to do. Survey takes the decision back.
        </p>
      </StationBody>
    );
  const question = firstQuestion(facts);
  return (
    <MatchStation
      treatment={id}
      damage={damage.id}
      input={facts.input}
      question={question}
      first={answerTo(view, damage, question)}
      ask={askDesk.bind(null, id, damage.id)}
      way={way}
      {...(because ? { because } : {})}
      stale={damage.choice_stale}
      referrals={referrals}
      damages={several ? <Damages view={view} shown={damage.id} /> : null}
      build={buildPanel(view, ["material", "layers", "coats"])}
      {...(facts.choice ? { entry: facts.choice.entry } : {})}
    />
  );
}
