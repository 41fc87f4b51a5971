"use client";
import { type ReactNode, useRef, useState } from "react";
import type { Cut } from "@/core/views/cut";
import { Segmented } from "../forms/Segmented";
import { useOpenOperation } from "../operations/openOperation";
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
  /** What changes the layers. */
  readonly below?: ReactNode;
}

/** The cut through each place, one at a time, with its layers as a list, its coats in a lens, and the same in words. */
export function Sections({ treatment, piece, cuts, below }: Props) {
  const open = useOpenOperation();
  const [shown, show] = useState<string>();
  const [held, light] = useState<number>();
  const drawing = useRef<HTMLDivElement>(null);
  const width = useWidth(drawing);
  // what is open is cut first, and its layer is lit until another is pointed at
  const cut = cuts.find(({ id }) => id === shown) ?? cuts.find(({ id }) => open?.places.includes(id)) ?? cuts[0];
  if (!cut) return null;
  const lit = held ?? (open?.layer !== undefined && open.places.includes(cut.id) ? open.layer - 1 : undefined);
  return (
    <section aria-label="Section">
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
      <div ref={drawing} className="max-w-[880px]">
        <Section cut={cut} width={width} tallest={270} lit={lit} light={light} />
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
      {below}
    </section>
  );
}
