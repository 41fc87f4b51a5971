import type { MaterialClass } from "../catalogue";
import { aidsFor } from "../match/aids";
import { factsOf } from "../match/case";
import { workingRange } from "../match/working";
import { joinsASitting } from "../ready/assembly";
import type { FormFacts } from "../ready/forms.data";
import { materialTaken, type Treatment } from "../record/treatment";
import { lossOf } from "../survey/loss";
import { matchInputOf } from "./matchInput";
import { type PieceFacts, referenceMinutes } from "./plan";

/** How the shards of a break are shared out among sittings. */
export interface SittingFacts {
  /** Joins that fit into the open time of the adhesive, one after the other. */
  readonly joins_a_sitting: number;
  /** Cure between two sittings, minutes; undefined = no adhesive is chosen yet. */
  readonly between_min: number | undefined;
}

/** Sittings by the shorter end of the adhesive's open time at `temp_C`; one join each where none is chosen. */
export function sittingFacts(adhesive: MaterialClass | undefined, temp_C: number): SittingFacts {
  if (adhesive === undefined) return { joins_a_sitting: 1, between_min: undefined };
  const [open_min] = workingRange({ row: adhesive, climate_C: temp_C });
  return { joins_a_sitting: joinsASitting(open_min), between_min: referenceMinutes(adhesive, ["handle"]) };
}

/** What the choice of a form or mould is asked with. */
export interface FormQuestion {
  readonly facts: FormFacts;
  /** Release agents that suit the chosen chain, the best first, by name. */
  readonly releases: readonly string[];
}

const RELEASES_NAMED = 3;

/** The form or mould of a loss that is filled; undefined where nothing is, or before Match. */
export function formQuestion(piece: PieceFacts, { survey, damage, choice }: Treatment, temp_C: number): FormQuestion | undefined {
  const links = choice?.body.chain.map((link) => ({ role: link.role, row: materialTaken(link) })) ?? [];
  const filler = links.find(({ role }) => role === "filler");
  if (!survey || !damage || !choice || !filler) return undefined;
  const asked = factsOf({ ...matchInputOf(piece, survey.body.survey, damage, temp_C), stance: choice.body.stance });
  const { twin } = survey.body.survey.inspected ?? {};
  return {
    facts: {
      damage: damage.kind,
      through: damage.kind === "hole" && damage.through,
      twin: twin === undefined ? undefined : twin === "there",
      finish: asked.finish,
      pours: filler.row.group === "plaster",
      loss_cm3: lossOf(damage).volume_cm3,
    },
    releases: aidsFor(asked, links)
      .filter(({ verdict }) => verdict !== "refused")
      .slice(0, RELEASES_NAMED)
      .map(({ row }) => row.name),
  };
}
