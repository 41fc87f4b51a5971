"use client";
import { useEffect, useRef } from "react";
import { SHOWS_THROUGH } from "@/core/level/surface";
import type { Levelling } from "@/core/views/levelling";

interface Props {
  readonly rows: readonly (readonly number[])[];
  readonly cover: Levelling["under"];
  readonly label: string;
}

/** A slope of so many µm over a point is full light, by what lies over it: gloss shows the least. */
const FULL: Readonly<Record<Levelling["under"], number>> = { gloss: 0.35, satin: 0.9, primer: 2.5 };

/** The surface as a lamp from the left shows it: bright where it rises against the light, dark where it falls away. */
export function RakingLight({ rows, cover, label }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const wide = rows[0]?.length ?? 1;
  useEffect(() => {
    const paper = canvas.current?.getContext("2d");
    if (!paper) return;
    const image = paper.createImageData(wide, rows.length);
    rows.forEach((row, y) => {
      row.forEach((height, x) => {
        const slope = ((row[x + 1] ?? height) - height) * SHOWS_THROUGH[cover];
        const light = Math.min(255, Math.max(0, 128 + (slope / FULL[cover]) * 127));
        const at = (y * wide + x) * 4;
        image.data.set([light, light, light, 255], at);
      });
    });
    paper.putImageData(image, 0, 0);
  }, [rows, cover, wide]);
  return <canvas ref={canvas} width={wide} height={rows.length} className="raking" role="img" aria-label={label} />;
}
