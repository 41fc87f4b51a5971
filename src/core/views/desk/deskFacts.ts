import type { Air } from "../../cure/lag";
import type { ChainLink } from "../../match/match.schema";
import { SEEN } from "../../plan/alongside";
import { type WorkedDamage, workOut } from "../../plan/damageContext";
import { atPlaces } from "../../plan/links";
import { SCALE_STEP_G } from "../../plan/planCalc";
import type { DamageRecord, Treatment } from "../../record/treatment";
import { referrals } from "../../survey/consequences";
import { volumeOf } from "../../survey/place";
import { type StockProduct, shelfOf } from "../stock";
import { damageInput, type PieceFacts } from "../worked";
import type { DeskFacts } from "./desk";

interface Told {
  readonly way: string;
  readonly because?: string | undefined;
  readonly referrals: readonly string[];
  /** Absent = the way takes no material. */
  readonly facts?: DeskFacts;
}

/** What Match asks of: the piece, its treatment, the air it is judged in, and what stands in the cabinet now. */
interface DeskCase {
  readonly piece: PieceFacts;
  readonly treatment: Treatment;
  readonly air: Air;
  readonly products: readonly StockProduct[];
  readonly now: number;
}

/** What Match knows of a damage: how it is met, and where that takes materials, what they are judged by. */
export function deskFacts({ piece, treatment, air, now, products }: DeskCase, damage: DamageRecord): Told {
  const asked = damageInput(piece, damage);
  const { choose: _choose, ...open } = asked;
  const found = workOut(open, treatment.stance, air, piece.tools ?? { scale_step_g: SCALE_STEP_G });
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
    beside: choice ? [] : [...takenOnPart(treatment, piece.part, damage), ...preferredBrace(found)],
    ...(choice ? { choice: { stance: choice.body.stance, chain: choice.body.chain, entry: choice.id } } : {}),
  };
  return { ...told, facts };
}

/** What the figures of the joint speak for: the plan takes it unasked, and so does Match. */
const preferredBrace = ({ links }: WorkedDamage): ChainLink[] =>
  links.filter(({ role }) => role === "brace").map(({ role, class: name }) => ({ role, class: name }));

/** The choice on record at another damage of its part: one part is filled, primed and coated in one stuff where nothing refuses it. */
function takenOnPart({ damages }: Treatment, main: string, damage: DamageRecord) {
  const partOf = ({ survey }: DamageRecord) => survey.body.part ?? main;
  const other = damages.find((each) => each.id !== damage.id && each.choice && partOf(each) === partOf(damage));
  return other?.choice?.body.chain.filter(({ role }) => role === "filler" || SEEN.includes(role)) ?? [];
}
