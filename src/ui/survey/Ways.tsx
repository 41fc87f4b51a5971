"use client";
import type { ComparedOption } from "@/core/plan/options";
import { figure, formatMinutes } from "@/core/units";
import { FieldError } from "../forms/FieldError";
import { Sign } from "../signs/Sign";
import type { SurveyPart } from "./surveyPart";
import type { Ways as WaysFound } from "./useWays";

/** Repair, replace or leave, side by side: hours, days and material from the same engine that plans the work. */
export function Ways({ form, values, errors, ways: { options, trouble } }: SurveyPart & { ways: WaysFound }) {
  const picked = options.find(({ option }) => option === values.option);
  const chosen = picked ?? options.find((each, i) => i === 0 && !each.refused);
  if (trouble !== "") return <p className="dim pt-4">The ways to meet it can’t be compared now: {trouble}</p>;
  if (options.length === 0) return null;
  return (
    <section aria-label="Ways to meet it" className="mt-5">
      <h2 className="border-b border-ink pb-1">
        Repair, replace or leave{" "}
        <span className="sub">hours and days as they would be planned, at one pair of hands; prices from catalogue ranges</span>
      </h2>
      <div className="ways">
        {options.map((each) => (
          <Way key={each.option} option={each} chosen={each === chosen} choose={() => form.setValue("option", each.option)} />
        ))}
      </div>
      {chosen && chosen !== options[0] && (
        <div className="max-w-[640px] pt-2">
          <label className="txt-label" htmlFor="option-reason">
            Why “{chosen.label.toLowerCase()}”? It goes into the record.
          </label>
          <input
            id="option-reason"
            className={`txt ${errors.option_reason ? "wrong" : ""}`}
            maxLength={2000}
            aria-invalid={errors.option_reason ? true : undefined}
            {...form.register("option_reason")}
          />
          <FieldError id="option-reason-wrong">{errors.option_reason}</FieldError>
        </div>
      )}
    </section>
  );
}

function Way({ option, chosen, choose }: { option: ComparedOption; chosen: boolean; choose: () => void }) {
  const { label, how, lost, risk, hands_min, elapsed_min, cost_eur, conditions, materials, refused } = option;
  return (
    <div className={`way ${chosen ? "chosen" : ""}`}>
      <div className="flex items-start justify-between gap-2">
        <h3 className="text-[17px] leading-[21px]">{label}</h3>
        {chosen ? (
          <Sign name="done">Chosen</Sign>
        ) : (
          <button type="button" className="btn small" disabled={refused} onClick={choose} aria-label={`Choose: ${label}`}>
            Choose
          </button>
        )}
      </div>
      <p className="pt-1">{how}</p>
      {refused ? (
        <Sign name="never" wrap>
          No material in the catalogue does this here. {option.refused_because}
        </Sign>
      ) : (
        <dl className="kv pt-1">
          <dt>Hands</dt>
          <dd>{formatMinutes(hands_min)}</dd>
          <dt>Done after</dt>
          <dd>{formatMinutes(elapsed_min)}</dd>
          <dt>Material</dt>
          <dd>{cost_eur ? `${figure(cost_eur[0], 2)} to ${figure(cost_eur[1], 2)} €` : materials.length === 0 ? "none" : "–"}</dd>
          <dt>Conditions to keep</dt>
          <dd>{conditions}</dd>
        </dl>
      )}
      {materials.length > 0 && <p className="sub pt-1">{materials.join(" → ")}</p>}
      <p className="sub pt-1">
        <b>Lost:</b> {lost}. <b>Risk:</b> {risk}
      </p>
    </div>
  );
}
