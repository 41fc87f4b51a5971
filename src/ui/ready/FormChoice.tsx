"use client";
import { type FormFacts, formsFor } from "@/core/ready/forms.data";
import { figure, inSentence } from "@/core/units";
import { Sign } from "../signs/Sign";
import { useLog } from "../treatment/TreatmentLog";

interface Props {
  readonly damage: string;
  readonly facts: FormFacts;
  readonly chosen: string | undefined;
  /** Release agents that suit the chain, best first. */
  readonly releases: readonly string[];
}

/** Dam, card, mould off the twin or free build: what suits the loss, what speaks against it, what it takes. */
export function FormChoice({ damage, facts, chosen, releases }: Props) {
  const log = useLog();
  const forms = formsFor(facts);
  return (
    <section aria-label="Form or mould" className="panel-block">
      <h2>Form or mould</h2>
      {forms.map(({ row, against, material_cm3 }, i) => {
        const taken = chosen === row.form;
        return (
          <div key={row.form} className={`way ${taken ? "chosen" : ""}`}>
            <div className="flex items-start justify-between gap-2">
              <h3>{row.label}</h3>
              {taken ? (
                <Sign name="done">Chosen</Sign>
              ) : (
                <button
                  type="button"
                  className="btn small"
                  disabled={log.busy}
                  onClick={() => void log.write({ kind: "form-chosen", damage, form: row.form })}
                  aria-label={`Choose: ${row.label}`}
                >
                  Choose
                </button>
              )}
            </div>
            <p>{row.how}</p>
            {against && (
              <Sign name="soon" wrap>
                {against}
              </Sign>
            )}
            {material_cm3 > 0 && (
              <p>
                About <b>{figure(material_cm3, 1)} cm³</b> of mould material. Part it with{" "}
                {releases.length > 0 ? releases.map(inSentence).join(" or ") : "nothing here: every release agent is refused"}.
              </p>
            )}
            {i === 0 && chosen === undefined && <p className="sub">suits this loss best</p>}
          </div>
        );
      })}
    </section>
  );
}
