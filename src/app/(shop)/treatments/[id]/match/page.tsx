import type { DamageRecord } from "@/core/record/treatment";
import { firstQuestion } from "@/core/views/desk/desk";
import { Link } from "@/ui/frame/Link";
import { MatchStation } from "@/ui/match/MatchStation";
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
  return (
    <>
      {treatment.damages.length > 1 && <Damages view={view} shown={shown.id} />}
      <DamageMatch key={shown.id} view={view} damage={shown} />
      {buildPanel(view, ["material", "layers", "coats"])}
    </>
  );
}

/** Which damage is matched here; a mark where its materials are chosen. */
function Damages({ view: { id, treatment, damages }, shown }: { view: StationView; shown: string }) {
  return (
    <nav aria-label="Damages" className="btn-row flex-wrap pb-2">
      {treatment.damages.map(({ id: damage, settled }, i) => (
        <Link
          key={damage}
          className="btn small"
          aria-current={damage === shown ? "true" : undefined}
          href={`/treatments/${id}/match?damage=${damage}`}
        >
          {i + 1} {damages.find((each) => each.treatment === id && each.damage === damage)?.title} {settled ? "✓" : ""}
        </Link>
      ))}
    </nav>
  );
}

function DamageMatch({ view, damage }: { view: StationView; damage: DamageRecord }) {
  const { id } = view;
  const { facts, way, because, referrals } = toldOf(view, damage);
  if (!facts)
    return (
      <p className="max-w-[560px] py-4 text-read leading-[22px]">
        You decided: {way.toLowerCase()}. No chain of materials is needed; Make ready holds what is to do. Survey takes the decision back.
      </p>
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
      {...(facts.choice ? { entry: facts.choice.entry } : {})}
    />
  );
}
