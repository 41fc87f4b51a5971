"use client";
import { useState } from "react";
import { counted, plain } from "@/core/units";
import type { FilmBudget as Film } from "@/core/views/filmBudget";
import type { Levelling } from "@/core/views/levelling";
import { Segmented } from "../forms/Segmented";
import { lazily } from "../frame/lazily";
import { Sign } from "../signs/Sign";
import { Alike } from "./Alike";
import { Backing } from "./Backing";
import { FilmBudget } from "./FilmBudget";
import { Ladder } from "./Ladder";
import { StepBack } from "./StepBack";

const SurfaceLeft = lazily(() => import("./SurfaceLeft").then((module) => module.SurfaceLeft));
const ShrinkCurve = lazily(() => import("./ShrinkCurve").then((module) => module.ShrinkCurve));

/** How high it stands against the old surface. */
function heightWords({ low_mm, measured, proud_um }: Levelling): string {
  if (low_mm !== undefined) return `measured ${plain(low_mm, 2)} mm low`;
  return `${measured ? "measured" : "planned"} ${plain(proud_um / 1000, 2)} mm proud`;
}

/** What is levelled, reckoned: the ladder, the film, the wait, the surface that will be left. */
export function LevelPanels({ levellings, films, closed }: { levellings: readonly Levelling[]; films: readonly Film[]; closed: boolean }) {
  const [shown, show] = useState(levellings[0]?.damage ?? "");
  const level = levellings.find(({ damage }) => damage === shown) ?? levellings[0];
  const budgets = films.map((film) => <FilmBudget key={film.damage} film={film} />);
  if (!level) return budgets.length > 0 ? <div className="panel-block">{budgets}</div> : null;
  const { rungs, beside, wait, area_mm2 } = level;
  const { paper } = level;
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
              {heightWords(level)}, {plain(area_mm2 / 100, 1)} cm²
            </span>
          </h2>
          {level.low_mm !== undefined && (
            <Sign name="soon" wrap>
              It lies {plain(level.low_mm, 2)} mm low: nothing comes off before it is filled again. Open a round back to Fill.
            </Sign>
          )}
          <Ladder rungs={rungs} />
          <p>
            Used up: {counted(paper.quarters, "quarter sheet")}, {counted(paper.wipes, "wipe")}
            {paper.pads > 0 && `, ${counted(paper.pads, "pad")}, one for each compound`}; {plain(paper.eur[0], 2)} to{" "}
            {plain(paper.eur[1], 2)} €.
          </p>
          {level.sheet && (
            <Sign name="soon" wrap>
              The drawer has a hole: of one sheet, {level.sheet} would help most.
            </Sign>
          )}
          {beside && (
            <p>
              Beside it lies {beside.finish}, {beside.told ? "" : "some "}
              {plain(beside.um, 0)} µm: one slip of {rungs[0]?.label} scratches {plain(beside.scratch_um, 0)} µm deep. Stay inside the tape;
              colour and clear go over the edge later.
            </p>
          )}
          <p className="sub">
            A model: scratches go with grain and hardness, good to some 40 %; minutes of hands to a factor of two. Look in raking light
            before the next rung.
          </p>
          {!closed && <StepBack level={level} />}
        </section>
        <div>
          {budgets}
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
