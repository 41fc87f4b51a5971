import { amountsOf, leastMix_g } from "@/core/colour/amounts";
import type { ColourResult } from "@/core/colour/colour.schema";
import { ILLUMINANTS, type Illuminant } from "@/core/colour/spectra.data";
import type { Lab } from "@/core/colour/spectrum";
import { differenceWords } from "@/core/colour/words";
import { doseGrams, figure, plain } from "@/core/units";
import { Sign } from "../signs/Sign";
import { labWords, Patch } from "./ColourField";

interface Props {
  readonly found: ColourResult;
  readonly target: Lab | undefined;
  readonly grams: number;
  /** The scale's step, g. */
  readonly step_g: number;
  readonly colourOf: (name: string) => Lab | undefined;
}

/** The recipe that was found: as parts, drops and grams, how far off it is under which lamp, and simpler ones. */
export function RecipeFound({ found, target, grams, step_g, colourOf }: Props) {
  const { recipe, lab, dE00, metamerism, simpler, warnings } = found;
  const amounts = amountsOf(recipe, grams);
  const least = Math.min(...amounts.map(({ g }) => g));
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
      <ul className="recipe-parts" aria-label="Parts of the recipe">
        {amounts.map(({ name, pct, g, drops, parts }) => (
          <li key={name}>
            <Patch lab={colourOf(name)} />
            <span>
              <b>{name}</b>
              <span className="sub block">
                {plain(parts, parts < 10 ? 1 : 0)} {parts === 1 ? "part" : "parts"}
                {drops > 0 && drops <= 200 ? `, ${drops} ${drops === 1 ? "drop" : "drops"}` : ""}
              </span>
            </span>
            <span className="num">{plain(pct, pct < 10 ? 1 : 0)} %</span>
            <span className="num recipe-g">{doseGrams(g)}</span>
          </li>
        ))}
      </ul>
      {grams > 0 && least < step_g * 5 && (
        <Sign name="soon" wrap>
          The scale can’t tell {doseGrams(least)}: count drops, or mix at least {plain(Math.ceil(leastMix_g(recipe) * 10) / 10, 1)} g and
          keep the rest.
        </Sign>
      )}
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
      {warnings.map(({ code, message }) =>
        code === "not-reached" ? (
          <Sign key={code} name="soon" wrap>
            {message}
          </Sign>
        ) : (
          <p key={code} className="sub">
            {message}
          </p>
        ),
      )}
      <p className="sub pt-1">
        Reckoned from typical masstones by single-constant Kubelka–Munk, opaque: strength differs from maker to maker. Mix a tenth first,
        let it dry, then add; nothing is taken out of a cup.
      </p>
    </>
  );
}
