"use client";
import { useRemove } from "../frame/Undo";
import { AddDamage } from "./AddDamage";

/** Another damage of a piece, and the way to delete the piece. */
export function PieceActions({ id, title, parts }: { id: string; title: string; parts: Parameters<typeof AddDamage>[0]["parts"] }) {
  const remove = useRemove();
  return (
    <>
      <AddDamage piece={id} parts={parts} />
      <button type="button" className="link-btn mt-4" onClick={() => void remove({ kind: "pieces", id, name: title, goTo: "/objects" })}>
        Delete this piece with its treatments
      </button>
    </>
  );
}
