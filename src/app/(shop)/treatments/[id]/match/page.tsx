import Link from "next/link";
import { workOut } from "@/core/plan/damageContext";
import { atPlaces } from "@/core/plan/links";
import { matchInputOf } from "@/core/plan/matchInput";
import { SCALE_STEP_G } from "@/core/plan/planCalc";
import type { DamageRecord } from "@/core/record/treatment";
import { referrals } from "@/core/survey/consequences";
import { volumeOf } from "@/core/survey/place";
import { shelfOf } from "@/core/views/stock";
import { damageInput } from "@/core/views/worked";
import { MatchStation } from "@/ui/match/MatchStation";
import { pieceFacts } from "@/work/working";
import { Earlier } from "../Earlier";
import { buildPanel, type StationView, stationPage } from "../station";
import { stationMetadata } from "../title";

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

function DamageMatch({ view: { id, record, treatment, air, now, products }, damage }: { view: StationView; damage: DamageRecord }) {
  const asked = damageInput(pieceFacts(record), damage);
  const { choose: _choose, ...open } = asked;
  const found = workOut(open, treatment.stance, air, pieceFacts(record).tools ?? { scale_step_g: SCALE_STEP_G });
  if (found.way.places === undefined)
    return (
      <p className="max-w-[560px] py-4 text-read leading-[22px]">
        You decided: {found.way.label.toLowerCase()}. No chain of materials is needed; Make ready holds what is to do. Survey takes the
        decision back.
      </p>
    );
  const { survey } = damage.survey.body;
  const { substrate, finish } =
    found.context.f.on.substrate === "mdf-vinyl" && asked.finish === "none" ? { ...asked, finish: "foil" as const } : asked;
  const input = matchInputOf({ substrate, finish }, survey, survey.damage, air.temp_C);
  const need = {
    filler: found.places.reduce((sum, place) => sum + (place.takes.includes("filler") ? volumeOf(place) : 0), 0),
    adhesive: found.places.reduce(
      (sum, place) => sum + (place.takes.includes("adhesive") ? ((place.area_mm2 ?? 0) * (place.film_mm ?? 0.1)) / 1000 : 0),
      0,
    ),
  };
  const shelf = shelfOf(products, need, now);
  return (
    <MatchStation
      treatment={id}
      damage={damage.id}
      input={input}
      places={atPlaces(found.places, input)}
      way={found.way.label}
      {...(found.because ? { because: found.because } : {})}
      stale={damage.choice_stale}
      referrals={referrals(survey)}
      {...(shelf ? { shelf } : {})}
      {...(damage.choice
        ? { choice: { stance: damage.choice.body.stance, chain: damage.choice.body.chain, entry: damage.choice.id } }
        : {})}
    />
  );
}
