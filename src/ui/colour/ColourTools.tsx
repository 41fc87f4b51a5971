"use client";
import dynamic from "next/dynamic";
import type { ComponentProps } from "react";
import type { Recipe as RecipePanel } from "./Recipe";

const Recipe = dynamic(() => import("./Recipe").then((module) => module.Recipe), { ssr: false });
const CoatStrip = dynamic(() => import("./CoatStrip").then((module) => module.CoatStrip), { ssr: false });
const Swatches = dynamic(() => import("./Swatches").then((module) => module.Swatches), { ssr: false });
const Sheen = dynamic(() => import("./Sheen").then((module) => module.Sheen), { ssr: false });

interface Props extends ComponentProps<typeof RecipePanel> {
  readonly tints: number;
  /** A film is rubbed to its sheen; absent = none is built. */
  readonly sheen?: { readonly thin: boolean };
}

/** What works colours out, loaded on its station alone: the strip first where coats are transparent. */
export function ColourTools({ tints, sheen, ...recipe }: Props) {
  const { colours, classes } = recipe;
  return (
    <>
      {tints > 0 && <CoatStrip planned={tints} />}
      <Recipe {...recipe} />
      <Swatches swatches={colours.swatches} recipes={colours.recipes} classes={classes} />
      {sheen && <Sheen {...sheen} />}
    </>
  );
}
