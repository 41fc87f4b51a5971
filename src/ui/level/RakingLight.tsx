"use client";
import { useEffect, useRef } from "react";
import { SEEN_FROM_UM, SHOWS_THROUGH } from "@/core/level/surface";
import type { Levelling } from "@/core/views/levelling";

interface Props {
  readonly rows: readonly (readonly number[])[];
  readonly cover: Levelling["under"];
  readonly label: string;
}

/** A scratch so many times as deep as one that is surely seen stands in full light and shade. */
const FULL = 4;

/** The surface as a lamp from the right shows it: one flank of a scratch lit, the other in shade, the more the deeper it is. */
export function RakingLight({ rows, cover, label }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const wide = rows[0]?.length ?? 1;
  useEffect(() => {
    const paper = canvas.current?.getContext("2d");
    if (!paper) return;
    const image = paper.createImageData(wide, rows.length);
    rows.forEach((row, y) => {
      row.forEach((height, x) => {
        const rises = Math.sign((row[x + 1] ?? height) - height);
        const deep = Math.min(1, (-height * SHOWS_THROUGH[cover]) / (FULL * SEEN_FROM_UM[cover][1]));
        const light = 128 + rises * deep * 127;
        const at = (y * wide + x) * 4;
        image.data.set([light, light, light, 255], at);
      });
    });
    paper.putImageData(image, 0, 0);
  }, [rows, cover, wide]);
  return <canvas ref={canvas} width={wide} height={rows.length} className="raking" role="img" aria-label={label} />;
}
