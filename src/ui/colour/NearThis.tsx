"use client";
import { useState } from "react";
import { amountsOf } from "@/core/colour/amounts";
import type { Lab } from "@/core/colour/spectrum";
import { doseGrams, figure } from "@/core/units";
import { type KeptRecipe, nearest } from "@/core/views/colours";
import { Segmented } from "../forms/Segmented";
import { Link } from "../frame/Link";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { Patch } from "./ColourField";

const SCALES = [
  ["0.5", "half of it"],
  ["1", "as much"],
  ["2", "twice"],
] as const;
/** Where nobody wrote down how much it was, g. */
const A_CUP_G = 5;

/** "What did I use near this?": kept recipes of all pieces by their colour, to be made again. */
export function NearThis({ recipes, target }: { recipes: readonly KeptRecipe[]; target: Lab | undefined }) {
  const log = useLog();
  const [scale, setScale] = useState<(typeof SCALES)[number][0]>("1");
  const [taken, take] = useState("");
  const found = target ? nearest(recipes, target) : [];
  if (recipes.length === 0) return null;
  return (
    <section aria-label="Used near this" className="pt-4">
      <h3>Used near this</h3>
      {!target && <p className="dim">Enter the colour to meet: what was kept near it comes up.</p>}
      {target && found.length === 0 && <p className="dim">Nothing that was kept is near it.</p>}
      {found.length > 0 && (
        <>
          <Segmented label="Make again" value={scale} options={SCALES} onChange={setScale} />
          <ul aria-label="Recipes near this">
            {found.map((recipe) => {
              const mass_g = (recipe.mass_g ?? A_CUP_G) * Number(scale);
              return (
                <li key={recipe.id} className="near">
                  <Patch lab={recipe.ended ?? recipe.target} />
                  <div className="min-w-0">
                    <b className="clamp-3 wrap-anywhere">{recipe.name}</b>
                    <span className="sub block">
                      {figure(recipe.off, 1)} dE00 off,{" "}
                      <Link className="link" href={`/treatments/${recipe.treatment}/colour`}>
                        {recipe.piece}
                      </Link>
                    </span>
                    <p>
                      {amountsOf(recipe.parts, mass_g)
                        .map(({ name, g }) => `${name} ${doseGrams(g)}`)
                        .join(", ")}
                    </p>
                  </div>
                  {taken === recipe.id ? (
                    <Sign name="done">kept here</Sign>
                  ) : (
                    <button
                      type="button"
                      className="btn small"
                      disabled={log.busy}
                      aria-label={`Keep it here too: ${recipe.name}`}
                      onClick={() => {
                        const { id, at: _at, treatment: _treatment, piece: _piece, off: _off, ...body } = recipe;
                        void log.write({ kind: "recipe-kept", ...body, mass_g }).then((written) => written && take(id));
                      }}
                    >
                      Keep it here too
                    </button>
                  )}
                </li>
              );
            })}
          </ul>
        </>
      )}
    </section>
  );
}
