"use client";
import { ABRASIVE_SYSTEMS, type AbrasiveSystem, type Grade, gradeLabel, sameGrade } from "@/core/catalogue";
import { drillSet } from "@/core/shop/tools";
import { Segmented } from "../forms/Segmented";
import { TextField } from "../forms/TextField";
import { YesNo } from "../forms/YesNo";
import { Chips } from "./Chips";
import { toggled } from "./shopForm";
import type { ShopPart } from "./shopPart";

const gradesOf = (system: AbrasiveSystem) =>
  ABRASIVE_SYSTEMS[system].grades.map(([grade]) => {
    const value: Grade = { system, grade };
    return [value, gradeLabel(value)] as const;
  });

/** What a drawer may hold of papers and cloths. */
const PAPERS = [...gradesOf("P"), ...gradesOf("cushioned")];

/** What lies in the drawers and stands on the bench; plans count on it. */
export function ShopTools({ form, values, errors }: ShopPart) {
  const inDrawer = (label: string) => !values.drills_missing.includes(label);
  const has = (paper: Grade) => values.papers.some((each) => sameGrade(each, paper));
  return (
    <section aria-labelledby="tools" className="rule-ash mt-4 pt-2">
      <h2 id="tools">Tools</h2>
      <div className="form-grid pt-2">
        <div>
          <p className="txt-label">Drills and rods are sold in</p>
          <Segmented
            label="Drills and rods are sold in"
            value={values.units}
            options={[
              ["mm", "Millimetres"],
              ["in", "Inch fractions"],
            ]}
            onChange={(units) => {
              form.setValue("units", units, { shouldDirty: true });
              form.setValue("drills_missing", [], { shouldDirty: true });
            }}
          />
        </div>
        <TextField
          label="The scale’s step, g"
          field={form.register("scale_step_g")}
          error={errors.scale_step_g}
          hint="doses smaller than it can tell are refused, with drops or a bigger mix instead"
          inputMode="decimal"
        />
        <TextField label="Router jig, mm thick" field={form.register("jig_mm")} error={errors.jig_mm} inputMode="decimal" />
        <TextField label="Router bit, mm wide" field={form.register("bit_mm")} error={errors.bit_mm} inputMode="decimal" />
        <TextField
          label="Clamps"
          field={form.register("clamps")}
          error={errors.clamps}
          hint="how many there are; empty = nobody counts them"
          inputMode="numeric"
        />
      </div>
      <Chips
        label="Drills in the drawer"
        options={drillSet(values).map(({ label }) => [label, label] as const)}
        isIn={inDrawer}
        toggle={(label) => form.setValue("drills_missing", toggled(values.drills_missing, label), { shouldDirty: true })}
      />
      <Chips
        label="Papers and cloths in the drawer"
        note={
          values.papers.length === 0
            ? "None is marked: plans take every grade to be there. Mark those you have, and ladders are built of them."
            : "Ladders are built of these; what is missing is said at its step."
        }
        options={PAPERS}
        isIn={has}
        toggle={(paper) => form.setValue("papers", toggled(values.papers, paper, sameGrade), { shouldDirty: true })}
      />
      {values.papers.length > 0 && (
        <fieldset className="mt-4">
          <legend className="txt-label">How many sheets are left</legend>
          <p className="fld-note pb-1">Empty: nobody counts them. What is counted goes down by the quarter when a rung is ticked off.</p>
          <div className="sheets">
            {PAPERS.filter(([paper]) => has(paper)).map(([, label]) => (
              <TextField
                key={label}
                label={label}
                field={form.register(`sheets.${label}`)}
                error={errors[`sheets.${label}`]}
                inputMode="decimal"
                maxLength={8}
              />
            ))}
          </div>
        </fieldset>
      )}
      <div className="form-grid mt-4">
        <div>
          <p className="txt-label">The air is read by</p>
          <Segmented
            label="The air is read by"
            value={values.sensor}
            options={[
              ["simulated", "The simulated sensor"],
              ["none", "Nobody: set by hand"],
            ]}
            onChange={(sensor) => form.setValue("sensor", sensor, { shouldDirty: true })}
          />
        </div>
        <YesNo
          text="A tone when a wait is over, a window is closing, or its last minute runs"
          value={values.sounds}
          onChange={(yes) => form.setValue("sounds", yes ?? false, { shouldDirty: true })}
        />
        <YesNo
          text="A flash in the last minute: a mix is about to set"
          value={values.flash}
          onChange={(yes) => form.setValue("flash", yes ?? false, { shouldDirty: true })}
        />
      </div>
    </section>
  );
}
