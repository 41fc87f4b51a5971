"use client";
import { useState } from "react";
import { type ClassName, classRow } from "@/core/catalogue";
import { amountsOf } from "@/core/colour/amounts";
import type { ColourResult } from "@/core/colour/colour.schema";
import type { Shift } from "@/core/colour/shift";
import type { Lab } from "@/core/colour/spectrum";
import { COLOUR_STATES, type ColourState, stateRow } from "@/core/colour/states.data";
import { parseColour } from "@/core/colour/words";
import { doseGrams, inSentence, plain } from "@/core/units";
import type { ColourCoat } from "@/core/views/coats";
import type { ShopColours } from "@/core/views/colours";
import { NumberField } from "../forms/NumberField";
import { useShop } from "../frame/now";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";
import { ClassField } from "./ClassField";
import { ColourField, labWords, Patch } from "./ColourField";
import { Cup } from "./Cup";
import { GreyCard } from "./GreyCard";
import { NearThis } from "./NearThis";
import { RecipeFound } from "./RecipeFound";
import { type RecipeDraft, useRecipe } from "./useRecipe";

interface Props {
  readonly coats: readonly ColourCoat[];
  readonly classes: readonly ClassName[];
  readonly colours: ShopColours;
}

/** The opaque mixture that ends at a colour, out of what is at hand: for the coat's area, with how far off it is under which lamp. */
export function Recipe({ coats, classes, colours }: Props) {
  const log = useLog();
  const { kept, change, paints, material, lab, shift, ...found } = useRecipe(log.treatment, classes, colours);
  const { pigments, state } = kept;
  const toggle = (name: string) =>
    change({ pigments: pigments.includes(name) ? pigments.filter((each) => each !== name) : [...pigments, name] });
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
            label="Colour to meet"
            note="measured, a spectrum at each 10 nm, or picked from a photograph with a grey card"
            value={kept.target}
            lab={lab}
            onChange={(text) => change({ target: text })}
          />
          <GreyCard use={({ L, a, b }) => change({ target: [L, a, b].map((value) => value.toFixed(1)).join(" ") })} />
          <Seen
            state={state}
            material={material}
            classes={classes}
            change={change}
            words={lab && state !== "dry" ? shiftWords(shift, material, state) : ""}
          />
          <Amount coats={coats} grams={kept.grams} good={found.grams !== undefined || kept.grams.trim() === ""} change={change} />
          <fieldset>
            <legend className="txt-label">Pigments and paints at hand</legend>
            <div className="pigments">
              {paints.map(({ name, lab: colour, note }) => (
                <label key={name} className="pigment">
                  <input type="checkbox" className="size-5 shrink-0" checked={pigments.includes(name)} onChange={() => toggle(name)} />
                  <Patch lab={colour} />
                  <span>
                    {name}
                    {note && <span className="sub block">{note}</span>}
                  </span>
                </label>
              ))}
            </div>
          </fieldset>
        </div>
        <div>
          <Answer {...found} paints={paints} lab={lab} kept={kept} material={material} read={(dried) => change({ dried })} />
          <NearThis recipes={colours.recipes} target={lab} />
        </div>
      </div>
    </section>
  );
}

type Found = ReturnType<typeof useRecipe>;
type AnswerProps = Pick<Found, "answer" | "asked" | "busy" | "grams" | "mixFor" | "palette" | "paints" | "lab" | "material" | "kept"> & {
  readonly read: (dried: string) => void;
};

/** What was found, what is kept of it, and what is added to its cup. */
function Answer({ answer, asked, busy, grams, mixFor, palette, paints, lab, kept: { state, dried }, material, read }: AnswerProps) {
  const { scale_step_g } = useShop();
  return (
    <>
      <div aria-live="polite">
        {!asked && <p className="dim">{lab ? "Tick the pigments that are at hand." : "Enter the colour to meet: the recipe follows."}</p>}
        {asked && !answer && busy && <p className="dim">Mixing on paper …</p>}
        {answer && (
          <RecipeFound
            found={answer}
            target={mixFor}
            grams={grams ?? 0}
            step_g={scale_step_g}
            colourOf={(name) => paints.find((each) => each.name === name)?.lab}
          />
        )}
      </div>
      {lab && answer && (
        <KeepRecipe answer={answer} target={lab} state={state} material={material} grams={grams} ended={parseColour(dried)} />
      )}
      {mixFor && answer && grams && (
        <Cup
          pigments={palette}
          cup={amountsOf(answer.recipe, grams).map(({ name, g }) => ({ name, g }))}
          reckoned={answer.lab}
          target={mixFor}
          dried={dried}
          read={read}
        />
      )}
    </>
  );
}

/** What becomes of it from dry to the state in which it is seen, by the shop's own pairs. */
function shiftWords(shift: Shift | undefined, material: ClassName | undefined, state: ColourState): string {
  const what = material ? inSentence(classRow(material).name) : "this paint";
  if (!shift)
    return `No pair of your own yet of ${what}, dry and ${stateRow(state).under}: the match is of the dry paint. Read a swatch in both states.`;
  const by = [
    ["L", shift.by.L],
    ["a", shift.by.a],
    ["b", shift.by.b],
  ] as const;
  const moves = by.map(([name, value]) => `${name} ${value >= 0 ? "+" : "−"}${plain(Math.abs(value), 1)}`).join(", ");
  const rests =
    shift.pairs === 1 ? "one pair of yours, which tells no spread" : `${shift.pairs} pairs of yours, ± ${plain(shift.spread, 1)}`;
  return `${stateRow(state).under.charAt(0).toUpperCase()}${stateRow(state).under.slice(1)} it goes ${moves} (${rests}): it is mixed so that it ends there.`;
}

interface SeenProps {
  readonly state: ColourState;
  readonly material: ClassName | undefined;
  readonly classes: readonly ClassName[];
  readonly change: (to: Partial<RecipeDraft>) => void;
  readonly words: string;
}

/** In which state it will be seen at the end, and of what it is mixed. */
function Seen({ state, material, classes, change, words }: SeenProps) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <label className="txt-label">
        It is seen
        <select className="txt" value={state} onChange={(event) => change({ state: event.target.value as ColourState })}>
          {COLOUR_STATES.filter(({ state: each }) => each !== "wet").map(({ state: each, under }) => (
            <option key={each} value={each}>
              {under}
            </option>
          ))}
        </select>
      </label>
      {classes.length > 0 && <ClassField label="Mixed of" classes={classes} value={material} choose={(name) => change({ class: name })} />}
      {words !== "" && <p className="col-span-2">{words}</p>}
    </div>
  );
}

interface AmountProps {
  readonly coats: readonly ColourCoat[];
  readonly grams: string;
  readonly good: boolean;
  readonly change: (to: Partial<RecipeDraft>) => void;
}

/** How much is mixed: typed, or what a planned coat takes. */
function Amount({ coats, grams, good, change }: AmountProps) {
  return (
    <div>
      <NumberField
        name="recipe_g"
        label="Paint to mix"
        unit="g"
        value={grams}
        onChange={(text) => change({ grams: text })}
        error={good ? undefined : "Enter more than 0, up to 5000 g."}
      />
      {coats.length > 0 && (
        <p className="flex flex-wrap gap-x-4">
          {coats.map(({ label, class: of, count, mass_g }) => (
            <button key={`${label} ${of}`} type="button" className="link-btn text-left" onClick={() => change({ grams: plain(mass_g, 2) })}>
              {label}
              {count > 1 ? `, all ${count} coats` : ""}: {doseGrams(mass_g)}
            </button>
          ))}
        </p>
      )}
    </div>
  );
}

interface KeepProps {
  readonly answer: ColourResult;
  readonly target: Lab;
  readonly state: ColourState;
  readonly material: ClassName | undefined;
  readonly grams: number | undefined;
  /** As the dried sample was read. */
  readonly ended: Lab | undefined;
}

/** Puts the recipe in the log under a name, and says that it did. */
function KeepRecipe({ answer: { recipe, dE00 }, target, state, material, grams, ended }: KeepProps) {
  const log = useLog();
  const [name, setName] = useState("");
  const [saved, setSaved] = useState("");
  const called = name.trim() || labWords(target);
  const body = {
    kind: "recipe-kept",
    name: called,
    target,
    state,
    parts: [...recipe],
    dE00,
    ...(material ? { class: material } : {}),
    ...(grams ? { mass_g: grams } : {}),
    ...(ended ? { ended } : {}),
  } as const;
  const key = JSON.stringify(body);
  return (
    <div className="btn-row items-end pt-3">
      <label className="txt-label">
        What it is called
        <input
          className="txt"
          value={name}
          maxLength={120}
          placeholder={labWords(target)}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <button
        type="button"
        className="btn"
        disabled={log.busy || !grams}
        onClick={() => void log.write({ ...body, parts: [...recipe] }).then((written) => written && setSaved(key))}
      >
        Keep this recipe
      </button>
      {saved === key && <Sign name="done">It is in the record</Sign>}
    </div>
  );
}
