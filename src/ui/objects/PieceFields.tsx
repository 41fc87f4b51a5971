"use client";
import type { UseFormReturn } from "react-hook-form";
import { FINISHES, PIECE_KINDS, SUBSTRATES } from "@/core/catalogue";
import { SelectField } from "../forms/SelectField";
import { TextField } from "../forms/TextField";

export interface PieceForm {
  readonly title: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: string;
  readonly part: string;
  readonly substrate: string;
  readonly finish: string;
}

export type PieceErrors = Readonly<Partial<Record<keyof PieceForm, string>>>;

const REQUIRED: Readonly<Partial<Record<keyof PieceForm, string>>> = {
  title: "Give the piece a name.",
  reference: "Give it a mark, so that it is found again.",
  kind: "Choose what kind of piece it is.",
  part: "Name the damaged part: rim, wing, lid …",
  substrate: "Choose what the part is made of.",
  finish: "Choose what lies on it.",
};

/** What is missing, field by field, before anything is sent. */
export function missingFields(values: PieceForm): PieceErrors {
  return Object.fromEntries(Object.entries(REQUIRED).filter(([name]) => values[name as keyof PieceForm].trim() === ""));
}

/** What is known of a piece and its damaged part; the same fields for a new piece and for a correction. */
export function PieceFields<T extends PieceForm>({ form, errors }: { form: UseFormReturn<T>; errors: PieceErrors }) {
  const { register } = form as unknown as UseFormReturn<PieceForm>;
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
      <TextField
        label="Damaged part"
        field={register("part")}
        error={errors.part}
        hint="where it is damaged: rim, wing, lid"
        maxLength={200}
        autoComplete="off"
      />
      <SelectField
        label="Made of"
        field={register("substrate")}
        error={errors.substrate}
        options={SUBSTRATES.map(({ substrate, label }) => [substrate, label] as const)}
      />
      <SelectField
        label="Finish on it"
        field={register("finish")}
        error={errors.finish}
        options={FINISHES.map(({ finish, label }) => [finish, label] as const)}
      />
    </>
  );
}
