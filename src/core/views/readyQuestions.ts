import type { MaterialClass } from "../catalogue";
import { middle } from "../catalogue";
import { workingRange } from "../cure/working";
import { factsOf } from "../match/case";
import { releasesFor } from "../match/releases";
import type { WorkedDamage } from "../plan/damageContext";
import { joinsASitting } from "../ready/assembly";
import type { FormFacts } from "../ready/forms.data";
import { volumeOf } from "../survey/place";

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
  const handle = adhesive.cure.stages.find(({ stage }) => stage === "handle");
  return { joins_a_sitting: joinsASitting(open_min), between_min: handle && middle(handle.minutes) };
}

/** What the choice of a form or mould is asked with. */
export interface FormQuestion {
  readonly facts: FormFacts;
  /** Release agents that suit the chosen chain, the best first, by name. */
  readonly releases: readonly string[];
}

const RELEASES_NAMED = 3;

/** The form or mould of a loss that is filled; undefined where nothing is. */
export function formQuestion({ context, links, places, survey, asked: asks }: WorkedDamage): FormQuestion | undefined {
  const filler = links.find(({ role }) => role === "filler");
  const lost = places.filter(({ kind }) => kind === "void");
  if (!filler || lost.length === 0) return undefined;
  const { damage } = context;
  const asked = factsOf(asks);
  const { twin } = survey.inspected ?? {};
  return {
    facts: {
      damage: damage.kind,
      through: damage.kind === "hole" && damage.through,
      twin: twin === undefined ? undefined : twin === "there",
      finish: asked.finish,
      pours: filler.material.group === "plaster",
      loss_cm3: lost.reduce((sum, place) => sum + volumeOf(place), 0),
    },
    releases: releasesFor(
      asked,
      links.map(({ role, material }) => ({ role, row: material })),
    )
      .filter(({ verdict }) => verdict !== "refused")
      .slice(0, RELEASES_NAMED)
      .map(({ row }) => row.name),
  };
}
