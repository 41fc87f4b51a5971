"use client";
import { useState } from "react";
import { type Finish, finishRow, middle, type Substrate, substrateRow } from "@/core/catalogue";
import type { ActName } from "@/core/cure/windows.data";
import type { RunningCure } from "@/core/plan/clocks";
import { type LayerRow, layerRows } from "@/core/plan/layerRows";
import type { FillPlan, StationPlan } from "@/core/plan/plan";
import { profileOf } from "@/core/plan/profile";
import { type StepMark, stepKey, trimStep } from "@/core/record/treatment";
import type { Damage } from "@/core/survey/measures.data";
import type { Wall } from "@/core/units";
import type { Air } from "../frame/climate";
import { useNow, useWall } from "../frame/now";
import { Section } from "../section/Section";
import { Cautions } from "./Cautions";
import { ClockPanel } from "./ClockPanel";
import { LayerActs } from "./LayerActs";
import { LayerTable } from "./LayerTable";
import { LeaveStation } from "./LeaveStation";
import { MixPanel } from "./MixPanel";

export interface FillProps {
  readonly treatment: string;
  readonly station: StationPlan;
  readonly fill?: FillPlan;
  readonly damage: Damage;
  readonly substrate: Substrate;
  readonly finish: Finish;
  readonly cures: readonly RunningCure[];
  readonly grams: Readonly<Record<number, number>>;
  readonly acts: readonly ActName[];
  readonly placed: Readonly<Record<number, number>>;
  readonly measured: Readonly<Record<number, number>>;
  readonly marks: Readonly<Record<string, StepMark>>;
  readonly done: boolean;
  readonly next: Parameters<typeof LeaveStation>[0]["next"];
  readonly air: Air;
}

/** Fill: the batch to mix, the cut through the loss with its layers, the clock, what was really done. */
export function FillStation(props: FillProps) {
  const { treatment, station, fill, done, next } = props;
  if (!fill)
    return (
      <div className="max-w-[460px] py-4 text-[16px] leading-[22px]">
        <p>Nothing is filled in this repair: {station.note || "no filler is in the chain"}.</p>
        <LeaveStation treatment={treatment} station="fill" next={next} done={done} needed={station.needed} missing="" />
      </div>
    );
  return <Fill {...props} fill={fill} />;
}

function Fill({
  treatment,
  fill,
  damage,
  substrate,
  finish,
  cures,
  grams,
  acts,
  placed,
  measured,
  marks,
  done,
  next,
  air,
}: FillProps & { fill: FillPlan }) {
  const [lit, setLit] = useState<number>();
  const row = fill.material;
  const rows = layerRows(fill, { cures, placed, measured, grams });
  const running = cures.at(-1);
  const laid = running?.layer ?? 0;
  const nextLayer = rows.find(({ mixed }) => mixed === undefined);
  const now = useNow();
  const wall = useWall();
  const hard = running?.stages.find(({ stage }) => stage === "hard")?.at;
  const waiting = running !== undefined && (hard === undefined || hard > now);
  return (
    <div className="cols cols-fill dusty">
      <section className="col-rule">
        {running && laid > 0 && !done && (
          <>
            <ClockPanel cure={running} done={acts} temp_C={air.temp_C} />
            <LayerActs cure={running} layer={rows[laid - 1]} trimmed={marks[stepKey("fill", trimStep(laid))]} />
          </>
        )}
        {nextLayer && !done && <MixPanel fill={fill} layer={nextLayer} running={running} hardAt={hard} air={air} />}
        <LeaveStation
          treatment={treatment}
          station="fill"
          next={next}
          done={done}
          needed
          missing={missing(rows)}
          main={!nextLayer}
          early={waiting && running ? { until: hardWords(running, hard, wall, now), judged: "The thumbnail says it is hard" } : undefined}
        />
        <div className="mt-3">
          <Cautions of={row.hazards} short={laid > 0} />
        </div>
      </section>
      <section>
        <Section
          profile={profileOf(damage)}
          hatch={substrateRow(substrate).hatch}
          substrate={`${substrateRow(substrate).label}, ${finishRow(finish).label.toLowerCase()}`}
          fill={{ surfaces: fill.layers.map(({ surface_mm }) => surface_mm), proud_mm: fill.proud_mm }}
          fillHatch={row.hatch}
          tags={rows.map((layer) => tagOf(layer, nextLayer?.layer, waiting))}
          title="Section A–A"
          width={900}
          height={350}
          lit={lit}
        />
        <p className="sub pb-2">
          Dashed: as it stands proud when cured. Chain line: original surface. {row.name} shrinks {row.shrinkage_pct.join(" to ")} % through
          its thickness; {middle(row.shrinkage_pct).toFixed(2)} % is reckoned with.
        </p>
        <LayerTable rows={rows} name={row.name} lit={lit} setLit={setLit} />
      </section>
    </div>
  );
}

/** What of the layers is still to be recorded before Fill can be left. */
function missing(rows: readonly LayerRow[]): string {
  const unmixed = rows.find(({ mixed }) => mixed === undefined);
  if (unmixed) return `layer ${unmixed.layer} is not laid`;
  const unplaced = rows.find(({ placed_mm }) => placed_mm === undefined);
  return unplaced ? `layer ${unplaced.layer} is not placed` : "";
}

function hardWords({ layer }: RunningCure, hard: number | undefined, wall: Wall, now: number): string {
  return hard === undefined ? `layer ${layer} does not set here` : `layer ${layer} is hard ${wall.when(hard, now)}`;
}

function tagOf({ layer, applied_mm, cured_mm, mixed, hard_at }: LayerRow, upcoming: number | undefined, waiting: boolean) {
  const shrinks = `shrinks back ${(applied_mm - cured_mm).toFixed(2)} mm`;
  const now = layer === upcoming && !waiting;
  return {
    name: `Layer ${layer}`,
    words: mixed === undefined ? (now ? `now, ${shrinks}` : shrinks) : hard_at === undefined ? "does not set here" : "setting or set",
    now,
  };
}
