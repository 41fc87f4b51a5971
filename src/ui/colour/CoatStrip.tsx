"use client";
import type { CSSProperties } from "react";
import { fadeOf, type Strip } from "@/core/colour/drawdown";
import { parseColour } from "@/core/colour/words";
import { figure, plain } from "@/core/units";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { useLog } from "../treatment/TreatmentLog";
import { ColourField, labWords, Patch } from "./ColourField";
import { Correction } from "./Correction";
import { useColourWorker } from "./useColourWorker";

const START = { ground: "", one: "", target: "", coats: "4", laid: "", now: "" };
const MOST_COATS = 12;

/** Transparent coats add up: from one coat that was laid and dried, what each further one will look like, and where to stop. */
export function CoatStrip({ planned }: { planned: number }) {
  const log = useLog();
  const [kept, keep] = useKept(`strip:${log.treatment}`, { ...START, coats: String(planned) });
  const [ground, one, target] = [kept.ground, kept.one, kept.target].map(parseColour);
  const coats = parseNumber(kept.coats);
  const many = coats.ok && Number.isInteger(coats.value) && coats.value >= 1 && coats.value <= MOST_COATS ? coats.value : undefined;
  const ask =
    ground && one && target && many ? ([ground, one, target, many] as [typeof ground, typeof one, typeof target, number]) : undefined;
  const { answer } = useColourWorker("stripOf", ask);
  const change = (to: Partial<typeof START>) => keep({ ...kept, ...to });
  return (
    <section aria-label="Transparent coats" className="mt-5">
      <h2 className="border-b border-ink pb-1">Transparent coats</h2>
      <div className="strip-fields">
        <ColourField
          label="Ground"
          note="what lies under the first coat, dry"
          value={kept.ground}
          onChange={(text) => change({ ground: text })}
        />
        <ColourField
          label="One coat over it, dry"
          note="from your draw-down on the same ground"
          value={kept.one}
          onChange={(text) => change({ one: text })}
        />
        <ColourField
          label="Colour to meet"
          note="of the sound part beside it"
          value={kept.target}
          onChange={(text) => change({ target: text })}
        />
        <NumberField
          name="strip_coats"
          label="Coats planned"
          unit="coats"
          value={kept.coats}
          onChange={(text) => change({ coats: text })}
          error={many ? undefined : `Enter 1 to ${MOST_COATS} coats.`}
        />
      </div>
      <div aria-live="polite">
        {ask && answer ? (
          <>
            <Coats strip={answer} target={target} planned={many ?? 1} />
            {ground && one && target && many && many > 1 && (
              <Correction
                ground={ground}
                one={one}
                target={target}
                planned={many}
                laid={kept.laid ?? ""}
                now={kept.now ?? ""}
                change={change}
              />
            )}
          </>
        ) : (
          <p className="dim py-2">Ground, one dried coat and the colour to meet: the strip follows.</p>
        )}
      </div>
    </section>
  );
}

/** How far each coat runs out over the sound part, and where its edge can be softened. */
function Fade({ coats }: { coats: Strip["coats"] }) {
  const { each_mm, all_mm } = fadeOf(coats);
  return (
    <p>
      Mist every coat out {plain(each_mm, 0)} mm further than the one before, {plain(all_mm, 0)} mm in all: so flat a slope shows no edge. A
      clear coat under the first tint, and one after it, lets that edge be rubbed back.
    </p>
  );
}

function Coats({
  strip: { coats, best, pct },
  target,
  planned,
}: {
  strip: Strip;
  target: ReturnType<typeof parseColour>;
  planned: number;
}) {
  const most = Math.max(...coats.map(({ dE00 }) => dE00));
  return (
    <>
      <div className="strip" style={{ "--coats": coats.length } as CSSProperties}>
        {coats.map(({ n, lab, dE00 }) => (
          <div key={n} className="strip-coat" data-best={n === best}>
            <Patch lab={target} large />
            <Patch lab={lab} large />
            <b>{n === 0 ? "ground" : `coat ${n}`}</b>
            {n === best && <span className="strip-stop">{n === 0 ? "lay none" : "stop here"}</span>}
            <span className="strip-off">{figure(dE00, 1)}</span>
            <svg className="strip-bar" viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">
              <rect x="0" y="0" width="100" height="8" className="strip-bar-all" />
              <rect x="0" y="0" width={most > 0 ? (dE00 / most) * 100 : 0} height="8" />
            </svg>
            <span className="sub">{labWords(lab)}</span>
          </div>
        ))}
      </div>
      <p className="pt-2">
        The upper half is the colour to meet; the figure is the difference, dE00, under 2 seen side by side only.{" "}
        <b>
          {pct === undefined
            ? "No strength of this tint meets it: it lacks a hue, or the target is lighter than the ground."
            : `Thinned to ${plain(pct, 0)} % of the draw-down’s strength, coat ${planned} meets it.`}
        </b>
      </p>
      <Fade coats={coats} />
      <p className="sub">
        Reckoned from one coat after Bouguer–Lambert–Beer, no scatter and no gloss: lay the next, let it dry, and enter it anew where it
        differs.
      </p>
    </>
  );
}
