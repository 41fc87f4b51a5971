"use client";
import { useState } from "react";
import type { Hatch } from "@/core/catalogue";
import type { Profile, SectionFill } from "@/core/fill/section";
import { counted, inSentence } from "@/core/units";
import { Segmented } from "../forms/Segmented";
import { Section } from "./Section";

/** A place that is filled, ready to be drawn. */
export interface Cut {
  readonly id: string;
  readonly label: string;
  readonly profile: Profile;
  readonly hatch: Hatch;
  readonly substrate: string;
  readonly fill: SectionFill;
  readonly fillHatch: Hatch;
  readonly material: string;
}

/** The cut through each place that is filled, one at a time. */
export function Sections({ cuts }: { cuts: readonly Cut[] }) {
  const [shown, show] = useState(cuts[0]?.id ?? "");
  const cut = cuts.find(({ id }) => id === shown) ?? cuts[0];
  if (!cut) return null;
  return (
    <section aria-label="Section" className="panel-block">
      {cuts.length > 1 && (
        <Segmented label="Place" value={cut.id} options={cuts.map(({ id, label }) => [id, label] as const)} onChange={show} />
      )}
      <div className="max-w-[640px]">
        <Section
          profile={cut.profile}
          hatch={cut.hatch}
          substrate={cut.substrate}
          fill={cut.fill}
          fillHatch={cut.fillHatch}
          title={`${cut.label}, ${counted(cut.fill.surfaces.length, "layer")} of ${inSentence(cut.material)}`}
          width={620}
          height={280}
        />
      </div>
      <p className="sub">Drawn as planned: true to scale, layers by their cured height. Real breaks differ by some 15 %.</p>
    </section>
  );
}
