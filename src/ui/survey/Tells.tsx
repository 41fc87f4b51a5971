import type { FinishRow, SubstrateRow } from "@/core/catalogue";
import { consequences } from "@/core/survey/consequences";
import { Sign } from "../signs/Sign";
import { answersOf, drawable, type SurveyForm } from "./surveyForm";

/** Each line is a consequence, with the answer that caused it beneath; it goes when the answer is taken back. */
export function Tells({ values, on, finish }: { values: SurveyForm; on: SubstrateRow; finish: FinishRow }) {
  const lines = consequences({ ...answersOf(values), damage: drawable(values) }, on, finish);
  return (
    <section aria-label="What this tells us" aria-live="polite">
      <h2>What this tells us</h2>
      {lines.length === 0 && <p className="dim pt-1">Nothing yet: each answer that changes a material or a step says so here.</p>}
      {lines.map(({ text, because, weight }) => (
        <div key={`${because} ${text}`} className="tell">
          {weight === "refer" ? (
            <Sign name="never" wrap>
              Stop and refer. {text}
            </Sign>
          ) : (
            <p className={weight === "first" ? "font-bold" : "font-semibold"}>{text}</p>
          )}
          <p className="sub">{because}</p>
        </div>
      ))}
    </section>
  );
}
