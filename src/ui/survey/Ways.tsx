"use client";
import type { Range } from "@/core/catalogue";
import { euros, formatMinutes } from "@/core/units";
import type { ComparedWay } from "@/core/views/ways";
import { FieldError } from "../forms/FieldError";
import { Sign } from "../signs/Sign";
import type { SurveyPart } from "./surveyPart";
import type { Ways as WaysFound } from "./useWays";

/** The ways to meet it, side by side: hours, days and material from the same engine that plans the work. */
export function Ways({ form, values, errors, ways: { ways, trouble } }: SurveyPart & { ways: WaysFound }) {
  const unasked = ways.find(({ preselected }) => preselected);
  const chosen = ways.find(({ way }) => way === values.way) ?? unasked;
  if (trouble !== "") return <p className="dim pt-4">The ways to meet it can’t be compared now: {trouble}</p>;
  if (ways.length === 0) return null;
  return (
    <section aria-label="Ways to meet it" className="mt-5">
      <h2 className="border-b border-ink pb-1">
        Ways to meet it{" "}
        <span className="sub">hours and days as they would be planned, at one pair of hands; prices from catalogue ranges</span>
      </h2>
      <div className="ways">
        {ways.map((each) => (
          <Way key={each.way} way={each} chosen={each === chosen} choose={() => form.setValue("way", each.way)} />
        ))}
      </div>
      {chosen && chosen !== unasked && (
        <div className="max-w-[640px] pt-2">
          <label className="txt-label" htmlFor="way-reason">
            Why “{chosen.label.toLowerCase()}”? It goes into the record.
          </label>
          <input
            id="way-reason"
            className={`txt ${errors.way_reason ? "wrong" : ""}`}
            maxLength={2000}
            aria-invalid={errors.way_reason ? true : undefined}
            {...form.register("way_reason")}
          />
          <FieldError id="way-reason-wrong">{errors.way_reason}</FieldError>
        </div>
      )}
    </section>
  );
}

/** `1 h to 2 h 20 min`; one figure where they are the same. */
const between = ([low, high]: Range) =>
  formatMinutes(low) === formatMinutes(high) ? formatMinutes(low) : `${formatMinutes(low)} to ${formatMinutes(high)}`;

function Way({ way: row, chosen, choose }: { way: ComparedWay; chosen: boolean; choose: () => void }) {
  const { label, how, lost, risk, hands_min, elapsed_min, cost_eur, conditions, materials, refused_because, not_first, preselected } = row;
  return (
    <div className={`way ${chosen ? "chosen" : ""}`}>
      <div className="flex items-start justify-between gap-2">
        <h3 className="text-read leading-[21px]">{label}</h3>
        {chosen ? (
          <Sign name="done">{preselected ? "Chosen" : "Your choice"}</Sign>
        ) : (
          <button type="button" className="btn small" onClick={choose} aria-label={`Choose: ${label}`}>
            Choose
          </button>
        )}
      </div>
      <p className="pt-1">{how}</p>
      {refused_because && (
        <Sign name="never" wrap>
          No material in the catalogue does this here. {refused_because}
        </Sign>
      )}
      {not_first && (
        <p className="pt-1">
          <b>Not taken unasked:</b> {not_first}
        </p>
      )}
      <dl className="kv pt-1">
        <dt>Hands</dt>
        <dd>{between(hands_min)}</dd>
        <dt>Done after</dt>
        <dd>{between(elapsed_min)}</dd>
        <dt>Material</dt>
        <dd>{materials.length === 0 && cost_eur[1] === 0 ? "none" : euros(cost_eur)}</dd>
        <dt>Conditions to keep</dt>
        <dd>{conditions}</dd>
      </dl>
      {materials.length > 0 && <p className="sub pt-1">{materials.join(" → ")}</p>}
      <p className="sub pt-1">
        <b>Lost:</b> {lost}. <b>Risk:</b> {risk}
      </p>
    </div>
  );
}
