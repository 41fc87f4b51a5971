"use client";
import { useState } from "react";
import { middleOf, SHEENS, type SheenWay, sheenWay, sheenWords } from "@/core/colour/sheen";
import { plain } from "@/core/units";
import { useKept } from "../forms/kept";
import { NumberField } from "../forms/NumberField";
import { parseNumber } from "../forms/parse";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

const START = { here: "", beside: "" };
const gloss = (text: string): number | undefined => {
  const read = parseNumber(text);
  return read.ok && read.value >= 0 && read.value <= 100 ? read.value : undefined;
};

/** The sheen last: of the repair and beside it, by a meter or by words, and what brings one to the other. */
export function Sheen({ thin }: { thin: boolean }) {
  const log = useLog();
  const [kept, keep] = useKept(`sheen:${log.treatment}`, START);
  const [here, beside] = [gloss(kept.here), gloss(kept.beside)];
  const way = here !== undefined && beside !== undefined ? sheenWay(here, beside, thin) : undefined;
  const [saved, setSaved] = useState("");
  const text = `${here} ${beside} ${way?.words}`;
  const record = async ({ words: next }: SheenWay) => {
    if (here === undefined || beside === undefined) return;
    if (await log.write({ kind: "sheen-read", here_gu: here, beside_gu: beside, next })) setSaved(text);
  };
  const field = (name: keyof typeof START, label: string) => (
    <div>
      <NumberField
        name={`sheen_${name}`}
        label={label}
        unit="GU"
        value={kept[name]}
        onChange={(text) => keep({ ...kept, [name]: text })}
        error={kept[name].trim() === "" || gloss(kept[name]) !== undefined ? undefined : "Enter 0 to 100 gloss units."}
        note={gloss(kept[name]) === undefined ? "a gloss meter at 60°, or a word" : sheenWords(gloss(kept[name]) ?? 0)}
      />
      <div className="chips pt-2">
        {SHEENS.map(({ sheen, label: word, gu }) => (
          <button
            key={sheen}
            type="button"
            className="chip"
            aria-pressed={sheenWords(gloss(kept[name]) ?? -1) === word && gloss(kept[name]) !== undefined}
            aria-label={`${label}: ${word}`}
            onClick={() => keep({ ...kept, [name]: plain(middleOf(gu), 0) })}
          >
            {word}
          </button>
        ))}
      </div>
    </div>
  );
  return (
    <section aria-label="Sheen" className="mt-5">
      <h2 className="border-b border-ink pb-1">Sheen</h2>
      <div className="strip-fields two">
        {field("here", "Gloss of the repair")}
        {field("beside", "Gloss beside it")}
      </div>
      {way && (
        <div aria-live="polite" className="grid gap-1">
          <Sign name={way.way === "leave" ? "done" : "go"} wrap>
            {way.words}
          </Sign>
          {way.leaves && (
            <p className="sub">
              It leaves some {plain(way.leaves[0], 0)} to {plain(way.leaves[1], 0)} gloss units; makers differ by ten. Try it on the swatch.
            </p>
          )}
          {way.way !== "leave" && (
            <div className="btn-row">
              <button type="button" className="btn" disabled={log.busy} onClick={() => void record(way)}>
                Put it in the record
              </button>
              {saved === text && <Sign name="done">It is in the record</Sign>}
            </div>
          )}
        </div>
      )}
    </section>
  );
}
