"use client";
import { useState } from "react";
import { type ClassName, classRow } from "@/core/catalogue";
import { COLOUR_STATES, type ColourState, stateRow } from "@/core/colour/states.data";
import { parseColour } from "@/core/colour/words";
import type { KeptRecipe, Swatch } from "@/core/views/colours";
import { useKept } from "../forms/kept";
import { TypedField } from "../forms/TypedField";
import { useLog } from "../treatment/TreatmentLog";
import { ClassField } from "./ClassField";
import { ColourField, labWords, Patch } from "./ColourField";
import { GreyCard } from "./GreyCard";

interface Props {
  readonly swatches: readonly Swatch[];
  readonly recipes: readonly KeptRecipe[];
  readonly classes: readonly ClassName[];
}

const NEW = "";
const START = { swatch: NEW, name: "", recipe: "", class: "", state: "dry" as ColourState, lab: "", photographed: false };

/** Swatches in every state that they were read in; what they change by from one to the next is used for the next match. */
export function Swatches({ swatches, recipes, classes }: Props) {
  const log = useLog();
  const [kept, keep] = useKept(`swatch:${log.treatment}`, START);
  const [tried, setTried] = useState(false);
  const mine = swatches.filter(({ treatment }) => treatment === log.treatment);
  const chosen = mine.find(({ swatch }) => swatch === kept.swatch);
  const lab = parseColour(kept.lab);
  const name = chosen?.name ?? kept.name.trim();
  const material = chosen?.class ?? classes.find((each) => each === kept.class) ?? classes[0];
  const change = (to: Partial<typeof START>) => keep({ ...kept, ...to });
  const write = async () => {
    setTried(true);
    if (!lab || name === "" || !material) return;
    const swatch = chosen?.swatch ?? crypto.randomUUID();
    const recipe = chosen ? chosen.recipe : kept.recipe || undefined;
    const by = kept.photographed ? "photograph" : "typed";
    const body = { kind: "swatch-read", swatch, name, class: material, state: kept.state, lab, by } as const;
    if (!(await log.write({ ...body, ...(recipe ? { recipe } : {}) }))) return;
    setTried(false);
    keep({ ...START, swatch, state: kept.state });
  };
  return (
    <section aria-label="Swatches" className="mt-5">
      <h2 className="border-b border-ink pb-1">Swatches</h2>
      <p className="sub py-1">One swatch is read in every state it goes through: wet, dry, and under what comes over it.</p>
      {mine.length > 0 && (
        <ul aria-label="Swatches of this piece">
          {mine.map((each) => (
            <li key={each.swatch} className="swatch">
              <b className="clamp-3 wrap-anywhere">{each.name}</b>
              <span className="sub">{classRow(each.class).name}</span>
              <span className="swatch-states">
                {each.readings.map(({ entry, state, lab: colour }) => (
                  <span key={entry}>
                    <Patch lab={colour} large />
                    {stateRow(state).label}
                    <span className="sub block">{labWords(colour)}</span>
                  </span>
                ))}
              </span>
            </li>
          ))}
        </ul>
      )}
      <form
        method="post"
        className="swatch-form"
        onSubmit={(event) => {
          event.preventDefault();
          void write();
        }}
        noValidate
      >
        {mine.length > 0 && (
          <label className="txt-label">
            Swatch
            <select className="txt" value={kept.swatch} onChange={(event) => change({ swatch: event.target.value })}>
              <option value={NEW}>a new one</option>
              {mine.map(({ swatch, name: called }) => (
                <option key={swatch} value={swatch}>
                  {called}
                </option>
              ))}
            </select>
          </label>
        )}
        {!chosen && (
          <>
            <TypedField
              label="What it is called"
              value={kept.name}
              set={(text) => change({ name: text })}
              wrong={tried && name === "" ? "Give it a name: warm grey, ground." : undefined}
              maxLength={120}
            />
            <ClassField label="Painted with" classes={classes} value={material} choose={(called) => change({ class: called })} />
            <label className="txt-label">
              By the recipe
              <select className="txt" value={kept.recipe} onChange={(event) => change({ recipe: event.target.value })}>
                <option value="">none: straight from the jar</option>
                {recipes
                  .filter(({ treatment }) => treatment === log.treatment)
                  .map(({ id, name: called }) => (
                    <option key={id} value={id}>
                      {called}
                    </option>
                  ))}
              </select>
            </label>
          </>
        )}
        <label className="txt-label">
          State
          <select className="txt" value={kept.state} onChange={(event) => change({ state: event.target.value as ColourState })}>
            {COLOUR_STATES.map(({ state, under }) => (
              <option key={state} value={state}>
                {under}
              </option>
            ))}
          </select>
        </label>
        <ColourField
          label="It reads"
          note={tried && !lab ? "Enter its colour: measured, or off a photograph." : "measured, or off a photograph"}
          value={kept.lab}
          onChange={(text) => change({ lab: text, photographed: false })}
        />
        <GreyCard use={({ L, a, b }) => change({ lab: [L, a, b].map((value) => value.toFixed(1)).join(" "), photographed: true })} />
        <div className="btn-row">
          <button type="submit" className="btn" disabled={log.busy}>
            Put it on record
          </button>
        </div>
      </form>
    </section>
  );
}
