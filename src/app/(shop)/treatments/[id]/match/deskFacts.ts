import { workOut } from "@/core/plan/damageContext";
import { atPlaces } from "@/core/plan/links";
import { SCALE_STEP_G } from "@/core/plan/planCalc";
import type { DamageRecord } from "@/core/record/treatment";
import { referrals } from "@/core/survey/consequences";
import { volumeOf } from "@/core/survey/place";
import { shelfOf } from "@/core/views/stock";
import { damageInput } from "@/core/views/worked";
import type { DeskFacts } from "@/ui/match/desk";
import type { TreatmentPage } from "@/work/treatments";
import { pieceFacts } from "@/work/working";

interface Told {
  readonly way: string;
  readonly because?: string | undefined;
  readonly referrals: readonly string[];
  /** Absent = the way takes no material. */
  readonly facts?: DeskFacts;
}

/** What Match knows of a damage: how it is met, and where that takes materials, what they are judged by. */
export function deskFacts({ record, treatment, air, now, products }: TreatmentPage, damage: DamageRecord): Told {
  const asked = damageInput(pieceFacts(record), damage);
  const { choose: _choose, ...open } = asked;
  const found = workOut(open, treatment.stance, air, pieceFacts(record).tools ?? { scale_step_g: SCALE_STEP_G });
  const { survey } = damage.survey.body;
  const told = { way: found.way.label, because: found.because, referrals: referrals(survey) };
  if (found.way.places === undefined) return told;
  const { stance: _stance, ...input } = found.asked;
  const need = {
    filler: found.places.reduce((sum, place) => sum + (place.takes.includes("filler") ? volumeOf(place) : 0), 0),
    adhesive: found.places.reduce(
      (sum, place) => sum + (place.takes.includes("adhesive") ? ((place.area_mm2 ?? 0) * (place.film_mm ?? 0.1)) / 1000 : 0),
      0,
    ),
  };
  const shelf = shelfOf(products, need, now);
  const { choice } = damage;
  const facts: DeskFacts = {
    input,
    places: atPlaces(found.places, input),
    ...(shelf ? { shelf } : {}),
    ...(choice ? { choice: { stance: choice.body.stance, chain: choice.body.chain, entry: choice.id } } : {}),
  };
  return { ...told, facts };
}
