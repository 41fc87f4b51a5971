"use client";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { useForm } from "react-hook-form";
import { useDraft } from "../forms/draft";
import { isPassing, send } from "../forms/send";
import { TextField } from "../forms/TextField";
import { SignShape } from "../signs/Sign";
import {
  errorsByPath,
  missingFields,
  missingInPart,
  PartFields,
  type PartForm,
  type PieceErrors,
  PieceFields,
  type PieceForm,
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
  part: { name: "", substrate: "", finish: "" },
  treatment_title: "",
  promised: "",
};

/** The first piece or the next: what it is, what it is made of; then Survey. */
export function NewPiece({ title }: { title: string }) {
  const router = useRouter();
  const form = useForm<NewForm>({ defaultValues: { ...EMPTY, title } });
  const draft = useDraft(title === "" ? "new-piece" : `new-piece:${title}`, form);
  const [errors, setErrors] = useState<PieceErrors>({});
  const [trouble, setTrouble] = useState("");
  const [busy, setBusy] = useState(false);
  // one pair of ids a form: pressing twice, or again after a lost answer, makes one piece
  const ids = useRef<{ id: string; treatment_id: string }>(undefined);
  const submit = form.handleSubmit(async (values) => {
    if (busy) return;
    const missing = {
      ...missingFields(values),
      ...missingInPart(values.part, "part."),
      ...(values.treatment_title.trim() === "" ? { treatment_title: "Say in two words what is to be mended." } : {}),
    };
    setErrors(missing);
    setTrouble("");
    if (Object.keys(missing).length > 0) {
      requestAnimationFrame(() => document.querySelector<HTMLElement>("[aria-invalid=true]")?.focus());
      return;
    }
    setBusy(true);
    ids.current ??= { id: crypto.randomUUID(), treatment_id: crypto.randomUUID() };
    const { promised, ...rest } = values;
    const sent = await send<{ treatment_id: string }>("POST", "/api/pieces", {
      ...ids.current,
      ...rest,
      ...(promised ? { promised } : {}),
    });
    if (sent.ok) {
      draft.clear();
      router.push(`/treatments/${sent.value.treatment_id}/survey`);
      router.refresh();
      return;
    }
    setBusy(false);
    setErrors(errorsByPath(sent.problem.errors));
    setTrouble(isPassing(sent.problem) ? `${sent.problem.detail} The fields keep what you typed.` : sent.problem.detail);
  });
  return (
    <form className="form-page" onSubmit={submit} noValidate>
      <h1 className="pb-1">New piece</h1>
      <p className="dim pb-4">Three minutes. Its eight stations come from what you enter here and at Survey.</p>
      {draft.restored && <p className="pb-3 font-semibold">What you typed last time was kept and is back in the fields.</p>}
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
      {trouble !== "" && (
        <p className="wrong-note mt-3" role="alert">
          <SignShape name="never" /> {trouble}
        </p>
      )}
      <button type="submit" className="btn go big mt-5" disabled={busy}>
        {busy ? "Saving …" : "Enter it, go to Survey"}
      </button>
    </form>
  );
}
