"use client";
import { useRouter } from "next/navigation";
import { useRef } from "react";
import { FormEnd, Restored } from "../forms/FormEnd";
import type { Read } from "../forms/read";
import { send } from "../forms/send";
import { TextField } from "../forms/TextField";
import { useSavedForm } from "../forms/useSavedForm";
import {
  missingFields,
  missingInPart,
  NO_PART,
  PartFields,
  type PartForm,
  PieceFields,
  type PieceForm,
  partOf,
  unless,
} from "./PieceFields";

interface NewForm extends PieceForm {
  readonly part: PartForm;
  readonly treatment_title: string;
  readonly promised: string;
}

const EMPTY: NewForm = {
  title: "",
  reference: "",
  owner_reference: "",
  kind: "",
  part: NO_PART,
  treatment_title: "",
  promised: "",
};

function readNew({ promised, ...values }: NewForm): Read<object> {
  const missing = {
    ...missingFields(values),
    ...missingInPart(values.part, "part."),
    ...(values.treatment_title.trim() === "" ? { treatment_title: "Say in two words what is to be mended." } : {}),
  };
  return unless(missing, { ...values, part: partOf(values.part), ...(promised ? { promised } : {}) });
}

/** The first piece or the next: what it is, what it is made of; then Survey. */
export function NewPiece({ title }: { title: string }) {
  const router = useRouter();
  // one pair of ids a form: pressing twice, or again after a lost answer, makes one piece
  const ids = useRef<{ id: string; treatment_id: string }>(undefined);
  const { form, errors, submit, restored, ...end } = useSavedForm({
    name: title === "" ? "new-piece" : `new-piece:${title}`,
    start: { ...EMPTY, title },
    read: readNew,
    save: (value) => {
      ids.current ??= { id: crypto.randomUUID(), treatment_id: crypto.randomUUID() };
      return send<{ treatment_id: string }>("POST", "/api/pieces", { ...ids.current, ...value });
    },
    saved: ({ treatment_id }) => router.push(`/treatments/${treatment_id}/survey`),
  });
  return (
    <form method="post" className="form-page" onSubmit={submit} noValidate>
      <h1 className="pb-1">New piece</h1>
      <p className="dim pb-4">Three minutes. Its eight stations come from what you enter here and at Survey.</p>
      <Restored when={restored} />
      <div className="form-grid">
        <PieceFields form={form} errors={errors} />
        <PartFields form={form} errors={errors} at="part." />
        <TextField
          label="What is to be mended?"
          field={form.register("treatment_title")}
          error={errors.treatment_title}
          hint="in two words: rim chip"
          maxLength={200}
          autoComplete="off"
        />
        <TextField label="Promised for" field={form.register("promised")} error={errors.promised} hint="may stay empty" type="date" />
      </div>
      <FormEnd save="Enter it, go to Survey" className="btn go big" {...end} />
    </form>
  );
}
