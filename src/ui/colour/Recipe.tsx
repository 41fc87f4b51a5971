"use client";
import { useState } from "react";
import type { ColourResult } from "@/core/colour/colour.schema";
import { asPigment, PIGMENTS } from "@/core/colour/pigments.data";
import { ILLUMINANTS, type Illuminant } from "@/core/colour/spectra.data";
import { differenceWords, parseColour } from "@/core/colour/words";
import { doseGrams, figure, plain } from "@/core/units";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { ColourField, labWords, Patch } from "./ColourField";
import { GreyCard } from "./GreyCard";
import { useColourWorker } from "./useColourWorker";

interface Draft {
  readonly target: string;
  readonly grams: string;
  readonly pigments: readonly string[];
}

const START: Draft = {
  target: "",
  grams: "5",
  pigments: ["titanium white", "lamp black", "yellow ochre", "burnt sienna", "raw umber", "red ochre", "ultramarine"],
};
const MOST_PIGMENTS = 6;

/** The opaque mixture that meets a colour, out of the pigments that are at hand: in grams, with how far off it is under which lamp. */
export function Recipe() {
  const log = useLog();
  const [kept, keep] = useKept<Draft>(`recipe:${log.treatment}`, START);
  const { target, grams, pigments } = kept;
  const lab = parseColour(target);
  const mass = parseNumber(grams);
  const palette = PIGMENTS.filter(({ name }) => pigments.includes(name));
  const ask =
    lab && palette.length > 0 ? ([{ pigments: palette.map(asPigment), target: { lab }, most: MOST_PIGMENTS }] as const) : undefined;
  const { answer, busy } = useColourWorker("colour", ask && [ask[0]]);
  const change = (to: Partial<Draft>) => keep({ ...kept, ...to });
  const toggle = (name: string) =>
    change({ pigments: pigments.includes(name) ? pigments.filter((each) => each !== name) : [...pigments, name] });
  const good = mass.ok && mass.value > 0 && mass.value <= 5000;
  return (
    <section aria-label="Recipe" className="mt-5">
      <h2 className="border-b border-ink pb-1">Recipe</h2>
      <p className="sub py-1">
        Swatches show the object’s colour, not a state. Screens are not calibrated: judge patch against patch, and a dried sample on the
        piece.
      </p>
      <div className="recipe">
        <div className="grid content-start gap-3">
          <ColourField
            label="Colour to meet, dry and under its coat"
            note="measured, or picked from a photograph with a grey card"
            value={target}
            onChange={(text) => change({ target: text })}
          />
          <GreyCard use={({ L, a, b }) => change({ target: [L, a, b].map((value) => value.toFixed(1)).join(" ") })} />
          <NumberField
            name="recipe_g"
            label="Paint to mix"
            unit="g"
            value={grams}
            onChange={(text) => change({ grams: text })}
            error={good || grams.trim() === "" ? undefined : "Enter more than 0, up to 5000 g."}
          />
          <fieldset>
            <legend className="txt-label">Pigments at hand</legend>
            <div className="pigments">
              {PIGMENTS.map(({ name, lab: colour, lets_through }) => (
                <label key={name} className="pigment">
                  <input type="checkbox" className="size-5 shrink-0" checked={pigments.includes(name)} onChange={() => toggle(name)} />
                  <Patch lab={colour} />
                  <span>
                    {name}
                    {lets_through && <span className="sub block">lets through</span>}
                  </span>
                </label>
              ))}
            </div>
          </fieldset>
        </div>
        <div aria-live="polite">
          {!ask && <p className="dim">{lab ? "Tick the pigments that are at hand." : "Enter the colour to meet: the recipe follows."}</p>}
          {ask && !answer && busy && <p className="dim">Mixing on paper …</p>}
          {ask && answer && <Found found={answer} target={lab} grams={good ? mass.value : 0} />}
          {ask && answer && <KeepRecipe text={recipeText(answer, good ? mass.value : 0, target)} ready={good} />}
        </div>
      </div>
    </section>
  );
}

/** Puts the recipe in the log as it stands, and says that it did. */
function KeepRecipe({ text, ready }: { text: string; ready: boolean }) {
  const log = useLog();
  const [saved, setSaved] = useState("");
  return (
    <div className="btn-row items-center pt-3">
      <button
        type="button"
        className="btn"
        disabled={log.busy || !ready}
        onClick={() => void log.write({ kind: "noted", station: "colour", text }).then((written) => written && setSaved(text))}
      >
        Keep this recipe in the record
      </button>
      {saved === text && <Sign name="done">It is in the record</Sign>}
    </div>
  );
}

const recipeText = ({ recipe, dE00 }: ColourResult, grams: number, target: string): string =>
  `Recipe for ${target.trim()}: ${recipe.map(({ name, pct }) => `${name} ${doseGrams((grams * pct) / 100)}`).join(", ")}; reckoned ${figure(dE00, 1)} dE00 off.`;

function Found({ found, target, grams }: { found: ColourResult; target: ReturnType<typeof parseColour>; grams: number }) {
  const { recipe, lab, dE00, metamerism, simpler, warnings } = found;
  return (
    <>
      <div className="recipe-pair">
        <figure>
          <Patch lab={target} large />
          <figcaption>to meet{target && <span className="sub block">{labWords(target)}</span>}</figcaption>
        </figure>
        <figure>
          <Patch lab={lab} large />
          <figcaption>
            mixed<span className="sub block">{labWords(lab)}</span>
          </figcaption>
        </figure>
        <p>
          <b className="recipe-off">{figure(dE00, 1)}</b> dE00
          <br />
          {differenceWords(dE00)} in daylight
        </p>
      </div>
      <ul className="recipe-parts">
        {recipe.map(({ name, pct }) => (
          <li key={name}>
            <Patch lab={PIGMENTS.find((each) => each.name === name)?.lab} />
            <b>{name}</b>
            <span className="num">{plain(pct, pct < 10 ? 1 : 0)} %</span>
            <span className="num recipe-g">{doseGrams((grams * pct) / 100)}</span>
          </li>
        ))}
      </ul>
      {simpler.map((other) => (
        <p key={other.recipe.length} className="pt-1">
          With {other.recipe.length === 1 ? "one" : other.recipe.length} alone, {figure(other.dE00, 1)} off:{" "}
          {other.recipe.map(({ name, pct }) => `${name} ${plain(pct, pct < 10 ? 1 : 0)} %`).join(", ")}
        </p>
      ))}
      <p className="pt-2">
        {metamerism
          .filter(({ illuminant }) => illuminant !== "D65")
          .map(
            ({ illuminant, dE00: off }) =>
              `Under a ${ILLUMINANTS[illuminant as Illuminant].label} ${figure(off, 1)}: ${differenceWords(off)}. `,
          )}
      </p>
      {warnings
        .filter(({ code }) => code === "not-reached")
        .map(({ message }) => (
          <Sign key={message} name="soon" wrap>
            {message}
          </Sign>
        ))}
      <p className="sub pt-1">
        Reckoned from typical masstones by single-constant Kubelka–Munk, opaque: strength differs from maker to maker. Mix a tenth first,
        let it dry, then add; nothing is taken out of a cup.
      </p>
    </>
  );
}
