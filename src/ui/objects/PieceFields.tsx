"use client";
import type { FieldValues, Path, UseFormReturn } from "react-hook-form";
import { FINISHES, PIECE_KINDS, SUBSTRATES } from "@/core/catalogue";
import type { Errors, Read } from "../forms/read";
import { SelectField } from "../forms/SelectField";
import { TextField } from "../forms/TextField";

export interface PartForm {
  readonly name: string;
  readonly substrate: string;
  readonly finish: string;
  /** Empty = as it is. */
  readonly finish_to_be: string;
}

export const NO_PART: PartForm = { name: "", substrate: "", finish: "", finish_to_be: "" };

/** A part as it is sent. */
export const partOf = <P extends PartForm>({ finish_to_be, ...part }: P) => ({ ...part, ...(finish_to_be ? { finish_to_be } : {}) });

export interface PieceForm {
  readonly title: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: string;
}

const REQUIRED: Readonly<Record<string, string>> = {
  title: "Give the piece a name.",
  reference: "Give it a mark, so that it is found again.",
  kind: "Choose what kind of piece it is.",
};
const PART_REQUIRED: Readonly<Record<Exclude<keyof PartForm, "finish_to_be">, string>> = {
  name: "Name the damaged part: rim, wing, lid …",
  substrate: "Choose what the part is made of.",
  finish: "Choose what lies on it.",
};

/** What is missing of a piece, field by field, before anything is sent. */
export function missingFields(values: PieceForm): Errors {
  return missingOf(values, REQUIRED, "");
}

export function missingInPart(part: PartForm, at: string): Errors {
  return missingOf(part, PART_REQUIRED, at);
}

function missingOf(values: object, required: Readonly<Record<string, string>>, at: string): Errors {
  const empty = Object.entries(required).filter(([name]) => ((values as Record<string, string>)[name] ?? "").trim() === "");
  return Object.fromEntries(empty.map(([name, message]) => [at + name, message]));
}

/** The value as it is sent, where nothing is missing. */
export const unless = <Value,>(missing: Errors, value: Value): Read<Value> =>
  Object.keys(missing).length > 0 ? { ok: false, errors: missing } : { ok: true, value };

/** What is known of a piece; the same fields for a new piece and for a correction. */
export function PieceFields<T extends PieceForm & FieldValues>({
  form,
  errors,
}: {
  form: Pick<UseFormReturn<T>, "register">;
  errors: Errors;
}) {
  const register = (name: keyof PieceForm) => form.register(name as Path<T>);
  return (
    <>
      <div className="span-2">
        <TextField
          label="What is it?"
          field={register("title")}
          error={errors.title}
          hint="in your words: Lemonade jar"
          maxLength={200}
          autoComplete="off"
        />
      </div>
      <TextField
        label="Mark"
        field={register("reference")}
        error={errors.reference}
        hint="your inventory mark, as HF-047"
        maxLength={80}
        autoComplete="off"
      />
      <TextField
        label="Owner’s reference"
        field={register("owner_reference")}
        error={errors.owner_reference}
        hint="may stay empty"
        maxLength={200}
        autoComplete="off"
      />
      <SelectField
        label="Kind of piece"
        field={register("kind")}
        error={errors.kind}
        options={PIECE_KINDS.map(({ kind, label }) => [kind, label] as const)}
      />
    </>
  );
}

/** A part: what it is called, what it is made of, what lies on it. `at` is its path in the form, with the dot. */
export function PartFields<T extends FieldValues>({
  form,
  errors,
  at,
}: {
  form: Pick<UseFormReturn<T>, "register">;
  errors: Errors;
  at: string;
}) {
  const register = (name: keyof PartForm) => form.register((at + name) as Path<T>);
  return (
    <>
      <TextField
        label="Damaged part"
        field={register("name")}
        error={errors[`${at}name`]}
        hint="where it is damaged: rim, wing, lid"
        maxLength={200}
        autoComplete="off"
      />
      <SelectField
        label="Made of"
        field={register("substrate")}
        error={errors[`${at}substrate`]}
        options={SUBSTRATES.map(({ substrate, label }) => [substrate, label] as const)}
      />
      <SelectField
        label="Finish on it"
        field={register("finish")}
        error={errors[`${at}finish`]}
        options={FINISHES.map(({ finish, label }) => [finish, label] as const)}
      />
      <SelectField
        label="Finish it is to have"
        field={register("finish_to_be")}
        error={errors[`${at}finish_to_be`]}
        none="As it is now"
        options={FINISHES.map(({ finish, label }) => [finish, label] as const)}
      />
    </>
  );
}
