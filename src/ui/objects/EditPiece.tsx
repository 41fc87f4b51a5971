"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { useForm } from "react-hook-form";
import type { Finish, PieceKind, Substrate } from "@/core/catalogue";
import type { Problem } from "@/core/problem";
import { useDraft } from "../forms/draft";
import { fieldOf, send } from "../forms/send";
import { Sign } from "../signs/Sign";
import { missingFields, type PieceErrors, PieceFields, type PieceForm } from "./PieceFields";

export interface PieceHead {
  readonly id: string;
  readonly title: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: PieceKind;
  readonly version: number;
  readonly part: { readonly id: string; readonly name: string; readonly substrate: Substrate; readonly finish: Finish };
}

/** Correct what is known of a piece; an edit made meanwhile in another window is told, not overwritten. */
export function EditPiece({ piece }: { piece: PieceHead }) {
  const router = useRouter();
  const { part, title, reference, owner_reference, kind } = piece;
  const form = useForm<PieceForm>({
    defaultValues: { title, reference, owner_reference, kind, part: part.name, substrate: part.substrate, finish: part.finish },
  });
  const draft = useDraft(`piece:${piece.id}`, form);
  const [errors, setErrors] = useState<PieceErrors>({});
  const [problem, setProblem] = useState<Problem>();
  const [saved, setSaved] = useState(false);
  const submit = form.handleSubmit(async ({ part: name, substrate, finish, ...rest }) => {
    const missing = missingFields(form.getValues());
    setErrors(missing);
    setSaved(false);
    if (Object.keys(missing).length > 0) return;
    const sent = await send("PUT", `/api/pieces/${piece.id}`, {
      version: piece.version,
      ...rest,
      part: { id: part.id, name, substrate, finish },
    });
    setProblem(sent.ok ? undefined : sent.problem);
    if (!sent.ok)
      setErrors(
        Object.fromEntries(
          (sent.problem.errors ?? []).map((error) => [fieldOf(error) === "name" ? "part" : fieldOf(error), error.message]),
        ),
      );
    if (sent.ok) draft.clear();
    setSaved(sent.ok);
    if (sent.ok || sent.problem.status === 409) router.refresh();
  });
  return (
    <form onSubmit={submit} noValidate>
      <div className="form-grid">
        <PieceFields form={form} errors={errors} />
      </div>
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
