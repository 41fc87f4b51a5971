"use client";
import { useRouter } from "next/navigation";
import { type ChangeEvent, useId, useState } from "react";
import type { Moment } from "@/core/views/operationView";
import { FieldError } from "../forms/FieldError";
import { send } from "../forms/send";

const MAX_BYTES = 12 * 1024 * 1024;

interface Props {
  readonly treatment: string;
  readonly moment: Moment;
  readonly caption: string;
  readonly label: string;
  readonly go?: boolean;
  /** It is kept. */
  readonly added: () => void;
}

/** Takes a picture from the camera or the device, and keeps it; what is no picture is refused here, with what to do. */
export function PictureInput({ treatment, moment, caption, label, go = false, added }: Props) {
  const router = useRouter();
  const input = useId();
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
    added();
    router.refresh();
  };
  return (
    <>
      <div className="file-btn">
        <input
          id={input}
          type="file"
          accept="image/jpeg,image/png,image/webp"
          className="file-input"
          onChange={(event) => void add(event)}
          aria-describedby={error ? `${input}-wrong` : undefined}
        />
        <label htmlFor={input} className={`btn ${go ? "go" : ""}`}>
          {busy ? "Adding …" : label}
        </label>
      </div>
      <div className="col-span-full">
        <FieldError id={`${input}-wrong`}>{error}</FieldError>
      </div>
    </>
  );
}
