"use client";
import { useState } from "react";
import type { Lab } from "@/core/colour/spectrum";
import { TOUCHES, type TopUpInput, type Touch, touched } from "@/core/colour/topUp";
import { parseColour } from "@/core/colour/words";
import { DROP_G } from "@/core/mix/byHand";
import { doseGrams, figure } from "@/core/units";
import { Sign } from "../signs/Sign";
import { ColourField, labWords, Patch } from "./ColourField";
import { useColourWorker } from "./useColourWorker";

interface Props {
  readonly pigments: TopUpInput["pigments"];
  readonly cup: TopUpInput["cup"];
  /** As it is reckoned to dry. */
  readonly reckoned: Lab;
  readonly target: Lab;
  /** The dried sample as it was typed. */
  readonly dried: string;
  readonly read: (text: string) => void;
}

type Wish = "target" | Touch;

/** What to add to the cup: towards the colour to meet from how its sample dried, or a touch this way or that. */
export function Cup({ pigments, cup, reckoned, target, dried, read: readIt }: Props) {
  const [wish, setWish] = useState<Wish>("target");
  const read = parseColour(dried);
  const now = read ?? reckoned;
  const wanted = wish === "target" ? target : touched(now, wish);
  const { answer } = useColourWorker("topUp", [{ pigments, cup, target: wanted, ...(read ? { now: read } : {}) }]);
  return (
    <section aria-label="In the cup" className="pt-4">
      <h3>In the cup</h3>
      <p className="dim pb-2">A drop too much can’t be taken out: let a sample dry, read it, then add.</p>
      <ColourField label="The dried sample reads" note="empty: as it is reckoned" value={dried} onChange={readIt} />
      <fieldset className="chips pt-2">
        <legend className="visually-hidden">Towards</legend>
        <Chip on={wish === "target"} press={() => setWish("target")}>
          To the colour to meet
        </Chip>
        {TOUCHES.map(({ touch, label }) => (
          <Chip key={touch} on={wish === touch} press={() => setWish(touch)}>
            {label}
          </Chip>
        ))}
      </fieldset>
      <div aria-live="polite" className="pt-2">
        {answer && answer.add.length === 0 && (
          <Sign name="done">{answer.before < 1 ? "It is there: add nothing" : "None of these pigments brings it nearer: mix anew"}</Sign>
        )}
        {answer && answer.add.length > 0 && (
          <>
            <ul className="recipe-parts" aria-label="Add to the cup">
              {answer.add.map(({ name, g }) => (
                <li key={name}>
                  <span aria-hidden="true">+</span>
                  <b>{name}</b>
                  <span className="num">{g >= DROP_G / 2 ? `${Math.round(g / DROP_G)} drops` : "a trace"}</span>
                  <span className="num recipe-g">{doseGrams(g)}</span>
                </li>
              ))}
            </ul>
            <p className="flex items-center gap-3 pt-2">
              <Patch lab={now} /> <Patch lab={answer.lab} /> <Patch lab={wanted} />
              <span>
                now, then, wanted: from {figure(answer.before, 1)} to <b>{figure(answer.after, 1)}</b> dE00 off; {doseGrams(answer.total_g)}{" "}
                in the cup. <span className="sub">{labWords(answer.lab)}</span>
              </span>
            </p>
          </>
        )}
      </div>
    </section>
  );
}

function Chip({ on, press, children }: { on: boolean; press: () => void; children: string }) {
  return (
    <button type="button" className="chip" aria-pressed={on} onClick={press}>
      {children}
    </button>
  );
}
