"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useFieldArray, useForm } from "react-hook-form";
import type { Finish, PieceKind, Substrate } from "@/core/catalogue";
import type { Problem } from "@/core/problem";
import { useDraft } from "../forms/draft";
import { send } from "../forms/send";
import { Sign } from "../signs/Sign";
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

export interface PieceHead {
  readonly id: string;
  readonly title: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: PieceKind;
  readonly version: number;
  readonly parts: ReadonlyArray<{ readonly id: string; readonly name: string; readonly substrate: Substrate; readonly finish: Finish }>;
}

interface EditForm extends PieceForm {
  readonly parts: ReadonlyArray<PartForm & { readonly part_id: string }>;
}

/** Correct what is known of a piece; an edit made meanwhile in another window is told, not overwritten. */
export function EditPiece({ piece }: { piece: PieceHead }) {
  const router = useRouter();
  const { parts, title, reference, owner_reference, kind } = piece;
  const form = useForm<EditForm>({
    defaultValues: { title, reference, owner_reference, kind, parts: parts.map(({ id: part_id, ...part }) => ({ part_id, ...part })) },
  });
  const rows = useFieldArray({ control: form.control, name: "parts" });
  const draft = useDraft(`piece:${piece.id}`, form);
  const [errors, setErrors] = useState<PieceErrors>({});
  const [problem, setProblem] = useState<Problem>();
  const [saved, setSaved] = useState(false);
  const submit = form.handleSubmit(async ({ parts: typed, ...rest }) => {
    const missing = { ...missingFields(rest), ...Object.assign({}, ...typed.map((part, i) => missingInPart(part, `parts.${i}.`))) };
    setErrors(missing);
    setSaved(false);
    if (Object.keys(missing).length > 0) return;
    const sent = await send("PUT", `/api/pieces/${piece.id}`, {
      version: piece.version,
      ...rest,
      parts: typed.map(({ part_id: id, ...part }) => ({ id, ...part })),
    });
    setProblem(sent.ok ? undefined : sent.problem);
    if (!sent.ok) setErrors(errorsByPath(sent.problem.errors));
    if (sent.ok) draft.clear();
    setSaved(sent.ok);
    if (sent.ok || sent.problem.status === 409) router.refresh();
  });
  return (
    <form onSubmit={submit} noValidate>
      <div className="form-grid">
        <PieceFields form={form} errors={errors} />
      </div>
      {rows.fields.map(({ id }, i) => (
        <fieldset key={id} className="rule-ash mt-4 pt-2">
          <legend className="visually-hidden">Part {i + 1}</legend>
          <div className="form-grid">
            <PartFields form={form} errors={errors} at={`parts.${i}.`} />
            {rows.fields.length > 1 && (
              <button type="button" className="link-btn self-end justify-self-start" onClick={() => rows.remove(i)}>
                Take part {i + 1} away
              </button>
            )}
          </div>
        </fieldset>
      ))}
      <button
        type="button"
        className="link-btn mt-2"
        onClick={() => rows.append({ part_id: crypto.randomUUID(), name: "", substrate: "", finish: "" })}
      >
        Add a part of other stuff
      </button>
      {problem && (
        <div className="notice mx-0" role="alert">
          <Sign name="never">{problem.title}</Sign>
          <p>{problem.detail}</p>
          {problem.status === 409 && <p>The page now shows theirs above; your fields keep yours. Save again to let yours stand.</p>}
        </div>
      )}
      <div className="btn-row mt-4">
        <button type="submit" className="btn">
          Save the piece
        </button>
        {saved && <Sign name="done">Saved</Sign>}
      </div>
    </form>
  );
}
