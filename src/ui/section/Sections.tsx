"use client";
import { useRef, useState } from "react";
import type { Cut } from "@/core/views/cut";
import { Segmented } from "../forms/Segmented";
import { LayerRows } from "./LayerRows";
import { Legend } from "./Legend";
import { Lens } from "./Lens";
import { Section } from "./Section";
import { SectionFiles } from "./SectionFiles";
import { useWidth } from "./useWidth";

interface Props {
  readonly treatment: string;
  readonly piece: string;
  readonly cuts: readonly Cut[];
}

/** The cut through each place, one at a time, with its layers as a list, its coats in a lens, and the same in words. */
export function Sections({ treatment, piece, cuts }: Props) {
  const [shown, show] = useState(cuts[0]?.id ?? "");
  const [lit, light] = useState<number>();
  const drawing = useRef<HTMLDivElement>(null);
  const width = useWidth(drawing);
  const cut = cuts.find(({ id }) => id === shown) ?? cuts[0];
  if (!cut) return null;
  return (
    <section aria-label="Section" className="panel-block">
      {cuts.length > 1 && (
        <Segmented
          label="Section"
          value={cut.id}
          options={cuts.map(({ id, title }) => [id, title] as const)}
          onChange={(id) => {
            light(undefined);
            show(id);
          }}
        />
      )}
      <div ref={drawing} className="max-w-[680px] pt-2">
        <Section cut={cut} width={width} tallest={250} lit={lit} light={light} />
      </div>
      <Legend cut={cut} />
      {cut.layers.length > 0 && <LayerRows layers={cut.layers} lit={lit} light={light} />}
      <Lens films={cut.films} />
      <details>
        <summary className="link-btn inline-flex cursor-pointer items-center">The same in words</summary>
        <p className="text-read leading-[23px]">{cut.words}</p>
      </details>
      <SectionFiles treatment={treatment} name={`${piece}, ${cut.title}`} place={cut.id} drawing={drawing} />
      <p className="sub">True to scale from the measures; a real break differs from its simple solid by some 15 %.</p>
    </section>
  );
}
