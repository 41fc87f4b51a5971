"use client";
import { useFieldArray } from "react-hook-form";
import type { Finish, PieceKind, Substrate } from "@/core/catalogue";
import { FormEnd, Restored } from "../forms/FormEnd";
import type { Read } from "../forms/read";
import { send } from "../forms/send";
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

export interface PieceHead {
  readonly id: string;
  readonly title: string;
  readonly reference: string;
  readonly owner_reference: string;
  readonly kind: PieceKind;
  readonly version: number;
  readonly parts: ReadonlyArray<{
    readonly id: string;
    readonly name: string;
    readonly substrate: Substrate;
    readonly finish: Finish;
    readonly finish_to_be?: Finish;
  }>;
}

interface EditForm extends PieceForm {
  readonly parts: ReadonlyArray<PartForm & { readonly part_id: string }>;
}

function readPiece({ parts, ...piece }: EditForm): Read<object> {
  const missing = { ...missingFields(piece), ...Object.assign({}, ...parts.map((part, i) => missingInPart(part, `parts.${i}.`))) };
  return unless(missing, { ...piece, parts: parts.map(({ part_id: id, ...part }) => ({ id, ...partOf(part) })) });
}

/** Correct what is known of a piece; an edit made meanwhile in another window is told, not overwritten. */
export function EditPiece({ piece }: { piece: PieceHead }) {
  const { parts, title, reference, owner_reference, kind } = piece;
  const { form, errors, submit, restored, ...end } = useSavedForm({
    name: `piece:${piece.id}`,
    start: {
      title,
      reference,
      owner_reference,
      kind,
      parts: parts.map(({ id: part_id, finish_to_be = "", ...part }) => ({ part_id, ...part, finish_to_be })),
    } as EditForm,
    read: readPiece,
    save: (value) => send("PUT", `/api/pieces/${piece.id}`, { version: piece.version, ...value }),
  });
  const rows = useFieldArray({ control: form.control, name: "parts" });
  return (
    <form method="post" onSubmit={submit} noValidate>
      <Restored when={restored} />
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
      <button type="button" className="link-btn mt-2" onClick={() => rows.append({ part_id: crypto.randomUUID(), ...NO_PART })}>
        Add a part of other stuff
      </button>
      <FormEnd save="Save the piece" className="btn" {...end} />
    </form>
  );
}
