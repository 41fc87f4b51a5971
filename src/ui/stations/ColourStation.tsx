"use client";
import { ROLE_LABELS } from "@/core/catalogue";
import type { ActName } from "@/core/cure/windows.data";
import type { RunningCure } from "@/core/plan/clocks";
import type { CoatPlan, StationPlan } from "@/core/plan/plan";
import { PLANNED_MIN } from "@/core/plan/planned.data";
import { type StepMark, stepKey } from "@/core/record/treatment";
import { counted } from "@/core/units";
import type { Air } from "../frame/climate";
import { useNow, useWall } from "../frame/now";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { Cautions } from "./Cautions";
import { ClockPanel } from "./ClockPanel";
import { LeaveStation } from "./LeaveStation";
import { StartControl } from "./StartControl";
import { StepList } from "./StepList";

interface Props {
  readonly treatment: string;
  readonly plan: StationPlan;
  readonly coats: readonly CoatPlan[];
  readonly marks: Readonly<Record<string, StepMark>>;
  readonly cures: readonly RunningCure[];
  readonly acts: readonly ActName[];
  readonly done: boolean;
  readonly next: Parameters<typeof LeaveStation>[0]["next"];
  readonly air: Air;
}

/** Colour: steps with cautions, and thin coats one by one, each with its clock. */
export function ColourStation({ treatment, plan, coats, marks, cures, acts, done, next, air }: Props) {
  const now = useNow();
  const wall = useWall();
  const log = useLog();
  if (!plan.needed)
    return (
      <div className="max-w-[460px] py-4 text-[16px] leading-[22px]">
        <p>Nothing is coloured or coated in this repair: {plan.note}.</p>
        <LeaveStation treatment={treatment} station="colour" next={next} done={done} needed={false} missing="" />
      </div>
    );
  const running = cures.at(-1);
  const laid = running?.layer ?? 0;
  const coat = coats[laid];
  const readyAt = running?.windows.at(-1)?.from;
  const waiting = readyAt !== undefined && readyAt > now;
  const open = plan.steps.filter(({ step }) => marks[stepKey("colour", step)] === undefined).length;
  const lay = (minutes_ago: number) =>
    coat &&
    void log.write(
      {
        kind: "coated",
        ...coat.taken,
        layer: coat.coat,
        thickness_mm: coat.material.max_layer_mm,
        climate: { temp_C: air.temp_C, rh_pct: air.rh_pct },
        hands_min: PLANNED_MIN.coat,
      },
      { minutes_ago },
    );
  const missing = coat ? `coat ${coat.coat} is not on` : open > 0 ? counted(open, "step is open", "steps are open") : "";
  return (
    <div className="cols cols-steps">
      <section className="col-rule">
        <h2>Colour, then coats, then sheen</h2>
        <StepList station="colour" steps={plan.steps} marks={marks} />
        <p className="dim pt-3">
          Several thin coats dry sooner than one thick one: drying goes with the square of the thickness. Screens are not calibrated; judge
          the colour on a dry sample beside the piece.
        </p>
      </section>
      <aside className="dusty">
        <h2>Coats</h2>
        <table className="lst inset">
          <tbody>
            {coats.map(({ coat: number, role, material }) => {
              const cure = cures.findLast(({ layer }) => layer === number);
              return (
                <tr key={number} className={number === coat?.coat ? "now" : ""}>
                  <td>
                    <b>Coat {number}</b> <span className="sub">{ROLE_LABELS[role].toLowerCase()}</span>
                  </td>
                  <td>{material.name}</td>
                  <td className="num">{cure ? <Sign name="done">{wall.when(cure.start, now)}</Sign> : "–"}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {coat && <Cautions of={coat.material.hazards} />}
        {running && !done && <ClockPanel cure={running} done={acts} temp_C={air.temp_C} />}
        {coat && !done && (
          <div className="mt-3">
            {waiting ? (
              <button type="button" className="btn big w-full" disabled>
                Not yet: coat {laid} may be covered {wall.when(readyAt, now)}
              </button>
            ) : (
              <StartControl label={`Coat ${coat.coat} is on`} disabled={log.busy} onStart={lay} />
            )}
            {waiting && (
              <button type="button" className="link-btn" disabled={log.busy} onClick={() => lay(0)}>
                It is dry to the touch: coat {coat.coat} is on now
              </button>
            )}
          </div>
        )}
        <LeaveStation
          treatment={treatment}
          station="colour"
          next={next}
          done={done}
          needed
          missing={missing}
          main={missing === ""}
          early={waiting ? { until: `coat ${laid} is dry ${wall.when(readyAt, now)}`, judged: "It is dry to the touch" } : undefined}
        />
      </aside>
    </div>
  );
}
