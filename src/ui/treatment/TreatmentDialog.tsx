"use client";
import { Link } from "../frame/Link";
import { Panel } from "../frame/Panel";
import { useRemove } from "../frame/Undo";
import type { MenuOf } from "./menuOf";

/** The rare acts of a treatment, as large as the frequent ones. */
export function TreatmentDialog({ id, pieceId, title, close }: MenuOf & { close: () => void }) {
  const remove = useRemove();
  const away = () => {
    close();
    void remove({ kind: "treatments", id, name: title, goTo: `/objects/${pieceId}` });
  };
  return (
    <Panel title="This treatment" close={close}>
      <div className="mt-3 grid gap-2">
        <Link className="btn" href={`/objects/${pieceId}`}>
          The piece and its treatments
        </Link>
        <Link className="btn" href={`/treatments/${id}/work-sheet`}>
          The work sheet, for print
        </Link>
        <Link className="btn" href={`/treatments/${id}/shelf-label`}>
          A label for the shelf
        </Link>
        <Link className="btn" href={`/treatments/${id}/owner-card`}>
          The owner’s card
        </Link>
        <Link className="btn" href={`/treatments/${id}/record`}>
          The record, for print
        </Link>
        <a className="btn" href={`/api/treatments/${id}/dossier`}>
          Take the dossier with you
        </a>
        <button type="button" className="btn" onClick={away}>
          Delete this treatment
        </button>
      </div>
    </Panel>
  );
}
