"use client";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { FieldError } from "../forms/FieldError";
import { send } from "../forms/send";
import { useRemove } from "../frame/Undo";

/** A further treatment of a piece, and the way to delete the piece. */
export function PieceActions({ id, title }: { id: string; title: string }) {
  const router = useRouter();
  const remove = useRemove();
  const [what, setWhat] = useState("");
  const [error, setError] = useState<string>();
  const treatment = useRef<string>(undefined);
  const add = async () => {
    if (what.trim() === "") {
      setError("Say in two words what is to be mended.");
      return;
    }
    treatment.current ??= crypto.randomUUID();
    const sent = await send<{ id: string }>("POST", `/api/pieces/${id}/treatments`, { id: treatment.current, title: what.trim() });
    if (sent.ok) router.push(`/treatments/${sent.value.id}/survey`);
    else setError(sent.problem.detail);
  };
  return (
    <>
      <form
        className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-3 pt-3"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <label className="txt-label">
          What else is to be mended?
          <input
            className="txt"
            value={what}
            maxLength={200}
            onChange={(event) => setWhat(event.target.value)}
            aria-invalid={error ? true : undefined}
          />
        </label>
        <button type="submit" className="btn">
          New treatment
        </button>
        <div className="col-span-2">
          <FieldError id="treatment-wrong">{error}</FieldError>
        </div>
      </form>
      <button type="button" className="link-btn mt-4" onClick={() => void remove({ kind: "pieces", id, name: title, goTo: "/objects" })}>
        Delete this piece with its treatments
      </button>
    </>
  );
}
