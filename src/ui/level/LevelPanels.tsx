"use client";
import { useState } from "react";
import { plain } from "@/core/units";
import type { Levelling } from "@/core/views/levelling";
import { Segmented } from "../forms/Segmented";
import { lazily } from "../frame/lazily";
import { Alike } from "./Alike";
import { Backing } from "./Backing";
import { FilmBudget } from "./FilmBudget";
import { Ladder } from "./Ladder";
import { StepBack } from "./StepBack";

const SurfaceLeft = lazily(() => import("./SurfaceLeft").then((module) => module.SurfaceLeft));
const ShrinkCurve = lazily(() => import("./ShrinkCurve").then((module) => module.ShrinkCurve));

/** What is levelled, reckoned: the ladder, the film, the wait, the surface that will be left. */
export function LevelPanels({ levellings, closed }: { levellings: readonly Levelling[]; closed: boolean }) {
  const [shown, show] = useState(levellings[0]?.damage ?? "");
  const level = levellings.find(({ damage }) => damage === shown) ?? levellings[0];
  if (!level) return null;
  const { rungs, film, wait, area_mm2 } = level;
  return (
    <div className="panel-block">
      {levellings.length > 1 && (
        <Segmented
          label="What is levelled"
          value={level.damage}
          options={levellings.map(({ damage, label }) => [damage, label] as const)}
          onChange={show}
        />
      )}
      <div className="level-top">
        <section aria-label="Ladder">
          <h2>
            Ladder
            <span className="sub">
              {level.measured ? "measured" : "planned"} {plain(level.proud_um / 1000, 2)} mm proud, {plain(area_mm2 / 100, 1)} cm²
            </span>
          </h2>
          <Ladder rungs={rungs} />
          <p className="sub">
            A model: scratches go with grain and hardness, good to some 40 %; minutes of hands to a factor of two. Look in raking light
            before the next rung.
          </p>
          {!closed && <StepBack level={level} />}
        </section>
        <div>
          {film && <FilmBudget film={film} />}
          {wait && <ShrinkCurve wait={wait} />}
        </div>
      </div>
      <SurfaceLeft key={level.damage} level={level} />
      <div className="level-top">
        <Alike rungs={rungs} />
        <Backing />
      </div>
    </div>
  );
}
