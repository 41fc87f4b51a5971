"use client";
import { useFieldArray } from "react-hook-form";
import { WEEKDAYS, type Weekday } from "@/core/shop/weekdays.data";
import { FieldError } from "../forms/FieldError";
import { TextField } from "../forms/TextField";
import { Chips } from "./Chips";
import type { ShopList } from "./shopPart";

const LABELS: Readonly<Record<Weekday, string>> = {
  mon: "Monday",
  tue: "Tuesday",
  wed: "Wednesday",
  thu: "Thursday",
  fri: "Friday",
  sat: "Saturday",
  sun: "Sunday",
};

/** When someone is here: hours, days of the week, and days on which nobody is. */
export function ShopDays({ form, values, errors, control }: ShopList) {
  const closed = useFieldArray({ control, name: "closed" });
  const isIn = (day: Weekday) => values.days.includes(day);
  return (
    <section aria-labelledby="shop-days" className="rule-ash mt-4 pt-2">
      <h2 id="shop-days">When someone is here</h2>
      <div className="form-grid pt-2">
        <TextField
          label="The day begins"
          field={form.register("from")}
          error={errors.from}
          type="time"
          hint="the line of the day folds the night before it"
        />
        <TextField label="The day ends" field={form.register("to")} error={errors.to} type="time" />
        <TextField
          label="Time zone"
          field={form.register("time_zone")}
          error={errors.time_zone}
          hint="as Europe/Berlin: every clock shows this time"
          maxLength={60}
        />
      </div>
      <Chips
        label="Working days"
        options={WEEKDAYS.map((day) => [day, LABELS[day]] as const)}
        isIn={isIn}
        toggle={(day) =>
          form.setValue(
            "days",
            WEEKDAYS.filter((each) => (each === day ? !isIn(day) : isIn(each))),
            { shouldDirty: true },
          )
        }
      />
      <FieldError id="days-wrong">{errors.days}</FieldError>
      <fieldset className="mt-4">
        <legend className="txt-label">Closed</legend>
        <p className="fld-note pb-1">A window that opens while nobody is here says so on the Bench.</p>
        {closed.fields.map(({ id }, i) => (
          <div key={id} className="form-row">
            <TextField label="From" field={form.register(`closed.${i}.from`)} error={errors[`closed.${i}.from`]} type="date" />
            <TextField label="To, that day too" field={form.register(`closed.${i}.to`)} error={errors[`closed.${i}.to`]} type="date" />
            <TextField label="Why" field={form.register(`closed.${i}.because`)} maxLength={120} autoComplete="off" />
            <button type="button" className="link-btn" onClick={() => closed.remove(i)} aria-label={`Open again: closed days ${i + 1}`}>
              Open again
            </button>
          </div>
        ))}
        <button type="button" className="link-btn" onClick={() => closed.append({ from: "", to: "", because: "" })}>
          Add closed days
        </button>
      </fieldset>
    </section>
  );
}
