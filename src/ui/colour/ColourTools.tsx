"use client";
import dynamic from "next/dynamic";

const Recipe = dynamic(() => import("./Recipe").then((module) => module.Recipe), { ssr: false });
const CoatStrip = dynamic(() => import("./CoatStrip").then((module) => module.CoatStrip), { ssr: false });

/** What works colours out, loaded on its station alone: the strip first where coats are transparent. */
export function ColourTools({ tints }: { tints: number }) {
  return (
    <>
      {tints > 0 && <CoatStrip planned={tints} />}
      <Recipe />
    </>
  );
}
