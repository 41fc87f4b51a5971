"use client";
import { WITNESS_UM } from "@/core/cure/shrinkWait";
import { counted, euros, plain } from "@/core/units";
import type { FilmBudget } from "@/core/views/filmBudget";
import type { Levelling } from "@/core/views/levelling";
import { Sign } from "../signs/Sign";
import { Ladder } from "./Ladder";
import { StepBack } from "./StepBack";
import { WhichLevel } from "./WhichLevel";

interface Props {
  readonly levellings: readonly Levelling[];
  readonly films: readonly FilmBudget[];
  readonly closed: boolean;
}

/** How high it stands against the old surface. */
function heightWords({ low_mm, measured, proud_um }: Levelling): string {
  if (low_mm !== undefined) return `measured ${plain(low_mm, 2)} mm low`;
  return `${measured ? "measured" : "planned"} ${plain(proud_um / 1000, 2)} mm proud`;
}

/** The ladder of one damage, with what film, sinking and the surface beside it say in a line each. */
export function LadderPane({ levellings, films, closed }: Props) {
  return (
    <WhichLevel levellings={levellings}>
      {(level) => (
        <section aria-label="Ladder" className="grid gap-x-8 gap-y-4 min-[1180px]:grid-cols-[minmax(0,1fr)_280px]">
          <div>
            <p className="sub">
              {heightWords(level)}, {plain(level.area_mm2 / 100, 1)} cm²; rungs by grain, below each the scratch it leaves
            </p>
            {level.low_mm !== undefined && (
              <Sign name="soon" wrap>
                It lies {plain(level.low_mm, 2)} mm low: nothing comes off before it is filled again. Open a round back to Fill.
              </Sign>
            )}
            <Ladder rungs={level.rungs} />
            <p className="sub">
              A model: scratches go with grain and hardness, good to some 40 %; minutes of hands to a factor of two. Look in raking light
              before the next rung.
            </p>
          </div>
          <Verdicts level={level} film={films.find(({ damage }) => damage === level.damage)} closed={closed} />
        </section>
      )}
    </WhichLevel>
  );
}

function Verdicts({ level, film, closed }: { level: Levelling; film: FilmBudget | undefined; closed: boolean }) {
  const { wait, beside, paper, sheet, rungs } = level;
  return (
    <div className="grid content-start gap-2 [&>*]:border-b [&>*]:border-ash-deep [&>*]:pb-2">
      {film && (
        <p>
          <Sign name={film.stop ? "soon" : "done"} wrap>
            {film.stop ?? "The film bears every cut, at the edge too."}
          </Sign>
        </p>
      )}
      {wait && (
        <p>
          <Sign name={wait.seen ? "soon" : "go"} wrap>
            Sinking: {wait.seen ? "wait." : "level it."}
          </Sign>{" "}
          {plain(wait.left_um, wait.left_um < 10 ? 1 : 0)} µm to come, under {wait.sheen} seen from {WITNESS_UM[wait.sheen]}
        </p>
      )}
      {beside && (
        <p>
          <Sign name="never">Stay inside the tape.</Sign> Beside it lies {beside.finish}, {beside.told ? "" : "some "}
          {plain(beside.um, 0)} µm: one slip of {rungs[0]?.label} scratches {plain(beside.scratch_um, 0)} µm deep. Colour and clear go over
          the edge later.
        </p>
      )}
      <p>
        Used up: {counted(paper.quarters, "quarter sheet")}, {counted(paper.wipes, "wipe")}
        {paper.pads > 0 && `, ${counted(paper.pads, "pad")}, one for each compound`}; {euros(paper.eur)}.
      </p>
      {sheet && (
        <p>
          <Sign name="soon" wrap>
            The drawer has a hole: of one sheet, {sheet} would help most.
          </Sign>
        </p>
      )}
      {!closed && <StepBack level={level} />}
    </div>
  );
}
