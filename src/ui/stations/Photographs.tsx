"use client";
import { useId, useState } from "react";
import { useWall } from "../frame/now";
import { useRemove } from "../frame/Undo";
import { PictureInput } from "./PictureInput";

export interface PhotographView {
  readonly id: string;
  readonly taken_at: string;
  readonly moment: "before" | "during" | "after";
  readonly caption: string;
  readonly width: number;
  readonly height: number;
}

const MOMENT_LABELS: Readonly<Record<PhotographView["moment"], string>> = { before: "Before", during: "During", after: "After" };

interface Props {
  readonly treatment: string;
  readonly photographs: readonly PhotographView[];
  /** What is added here counts as. */
  readonly moment: PhotographView["moment"];
}

/** The photographs of a treatment, and the way to add one; each is checked by its content on the server. */
export function Photographs({ treatment, photographs, moment }: Props) {
  return (
    <section aria-label="Photographs" className="mt-3">
      <div className="photo-grid">
        {photographs.map((photograph) => (
          <PhotographFigure key={photograph.id} photograph={photograph} />
        ))}
      </div>
      <AddPhotograph treatment={treatment} moment={moment} first={photographs.length === 0} />
    </section>
  );
}

export function PhotographFigure({ photograph, plain = false }: { photograph: PhotographView; plain?: boolean }) {
  const wall = useWall();
  const remove = useRemove();
  const { id, caption, moment, taken_at } = photograph;
  const words = `${MOMENT_LABELS[moment]}, ${wall.stamp(Date.parse(taken_at))}${caption ? `, ${caption}` : ""}`;
  return (
    <figure>
      <div className="photo-slot">
        <img src={`/api/photographs/${id}?thumbnail`} alt={words} loading="lazy" />
      </div>
      <figcaption className="sub flex items-start justify-between gap-2 pt-1">
        <span className="clamp-3">{words}</span>
        {!plain && (
          <button
            type="button"
            className="link-btn no-print -my-2"
            onClick={() => void remove({ kind: "photographs", id, name: caption || "photograph" })}
            aria-label={`Delete photograph ${words}`}
          >
            Delete
          </button>
        )}
      </figcaption>
    </figure>
  );
}

function AddPhotograph({ treatment, moment, first }: { treatment: string; moment: PhotographView["moment"]; first: boolean }) {
  const input = useId();
  const [caption, setCaption] = useState("");
  return (
    <div className="mt-2 grid grid-cols-[minmax(0,1fr)_auto] items-end gap-2">
      <div>
        <label htmlFor={`${input}-caption`} className="txt-label">
          View and light of the next photograph
        </label>
        <input
          id={`${input}-caption`}
          className="txt"
          value={caption}
          maxLength={300}
          placeholder="rim, raking light"
          onChange={(event) => setCaption(event.target.value)}
        />
      </div>
      <PictureInput
        treatment={treatment}
        moment={moment}
        caption={caption}
        label={first ? "Add a photograph" : "Add another"}
        added={() => setCaption("")}
      />
    </div>
  );
}
