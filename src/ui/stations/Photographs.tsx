"use client";
import { useRouter } from "next/navigation";
import { type ChangeEvent, useId, useState } from "react";
import { FieldError } from "../forms/FieldError";
import { send } from "../forms/send";
import { useWall } from "../frame/now";
import { useRemove } from "../frame/Undo";

export interface PhotographView {
  readonly id: string;
  readonly taken_at: string;
  readonly moment: "before" | "during" | "after";
  readonly caption: string;
  readonly width: number;
  readonly height: number;
}

const MOMENT_LABELS: Readonly<Record<PhotographView["moment"], string>> = { before: "Before", during: "During", after: "After" };

const MAX_BYTES = 12 * 1024 * 1024;

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
  const router = useRouter();
  const input = useId();
  const [caption, setCaption] = useState("");
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  const add = async (event: ChangeEvent<HTMLInputElement>) => {
    const { files } = event.target;
    const file = files?.[0];
    if (!file || busy) return;
    setError(undefined);
    if (file.size > MAX_BYTES) {
      setError(`${file.name} is over 12 MB. Save it smaller, then add it again.`);
      event.target.value = "";
      return;
    }
    setBusy(true);
    const query = new URLSearchParams({ id: crypto.randomUUID(), moment, caption: caption.trim() });
    const sent = await send("POST", `/api/treatments/${treatment}/photographs?${query}`, file);
    setBusy(false);
    event.target.value = "";
    if (!sent.ok) {
      setError(sent.problem.detail);
      return;
    }
    setCaption("");
    router.refresh();
  };
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
      <div className="file-btn">
        <input
          id={input}
          type="file"
          accept="image/jpeg,image/png,image/webp"
          className="file-input"
          onChange={(event) => void add(event)}
          aria-describedby={error ? `${input}-wrong` : undefined}
        />
        <label htmlFor={input} className="btn">
          {busy ? "Adding …" : first ? "Add a photograph" : "Add another"}
        </label>
      </div>
      <div className="col-span-2">
        <FieldError id={`${input}-wrong`}>{error}</FieldError>
      </div>
    </div>
  );
}
