"use client";
import type { ComponentProps } from "react";
import type { FieldValues, Path, UseFormReturn } from "react-hook-form";
import { CLASS_ROWS, type ClassName, classRow, GROUP_LABELS, GROUPS } from "@/core/catalogue";
import { FieldError } from "../forms/FieldError";
import type { Errors } from "../forms/read";
import { TextField } from "../forms/TextField";
import { figuresOf, type LotForm, rangeWords } from "./productForm";

interface Props<T extends FieldValues> {
  readonly form: Pick<UseFormReturn<T>, "register">;
  readonly errors: Errors;
  /** The path of these fields in the form, with the dot; empty = at its root. */
  readonly at?: string;
}

/** Class, name, and what the data sheet says otherwise. */
export function ProductFields<T extends FieldValues>({ form, errors, name }: Props<T> & { name: ClassName | "" }) {
  return (
    <>
      <div>
        <label className="txt-label" htmlFor="product-class">
          Kind of material
        </label>
        <select
          id="product-class"
          className={`txt ${errors.class ? "wrong" : ""}`}
          aria-invalid={errors.class ? true : undefined}
          {...form.register("class" as Path<T>)}
        >
          <option value="">Choose …</option>
          {GROUPS.map((group) => (
            <optgroup key={group} label={GROUP_LABELS[group]}>
              {CLASS_ROWS.filter((row) => row.group === group).map((row) => (
                <option key={row.class} value={row.class}>
                  {row.name}
                </option>
              ))}
            </optgroup>
          ))}
        </select>
        <FieldError id="product-class-wrong">{errors.class}</FieldError>
      </div>
      <TextField
        label="Name on the jar"
        field={form.register("name" as Path<T>)}
        error={errors.name}
        maxLength={200}
        autoComplete="off"
        hint="as you call it in the shop"
      />
      {name !== "" && (
        <fieldset className="span-2">
          <legend className="pt-2 font-semibold">What its data sheet says otherwise</legend>
          <p className="sub pb-1">Leave a field empty and the class’s own range holds: it stands under the field. Write 35 or 30-40.</p>
          <div className="figure-grid">
            {figuresOf(name).map(({ figure, label, unit, of, digits }) => {
              const published = of(classRow(name));
              return (
                <TextField
                  key={figure}
                  label={`${label}, ${unit}`}
                  field={form.register(`figures.${figure}` as Path<T>)}
                  error={errors[`figures.${figure}`]}
                  hint={published ? `class: ${rangeWords(published, Math.max(digits, 2))}` : ""}
                  maxLength={40}
                  autoComplete="off"
                  inputMode="text"
                />
              );
            })}
          </div>
        </fieldset>
      )}
    </>
  );
}

const AMOUNT = { maxLength: 20, autoComplete: "off", inputMode: "decimal" } as const;

const LOT_FIELDS: ReadonlyArray<{ readonly name: keyof LotForm } & Omit<ComponentProps<typeof TextField>, "field">> = [
  { name: "label", label: "Mark on the jar", hint: "lot number, or 1, 2, 3", maxLength: 80, autoComplete: "off" },
  { name: "size_g", label: "Full, g", ...AMOUNT },
  { name: "left_g", label: "Left, g", hint: "empty = full", ...AMOUNT },
  { name: "price_eur", label: "Paid, €", hint: "may stay empty", ...AMOUNT },
  { name: "opened", label: "Opened", type: "date" },
  { name: "expires", label: "Goes off", hint: "as printed, or empty", type: "date" },
];

/** A jar: how full, since when open, until when good. */
export function LotFields<T extends FieldValues>({ form, errors, at = "" }: Props<T>) {
  return LOT_FIELDS.map(({ name, ...field }) => (
    <TextField key={name} {...field} field={form.register((at + name) as Path<T>)} error={errors[at + name]} />
  ));
}
