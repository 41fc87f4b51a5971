"use client";
import { useRouter } from "next/navigation";
import { type ChangeEvent, useId, useState } from "react";
import type { Problem } from "@/core/problem";
import { isPassing, send } from "../forms/send";
import { Sign } from "../signs/Sign";

/** Take a dossier in; where its treatment is here already, offer it as a copy. */
export function ImportDossier() {
  const router = useRouter();
  const input = useId();
  const [file, setFile] = useState<File>();
  const [problem, setProblem] = useState<Problem>();
  const [busy, setBusy] = useState(false);
  const take = async (dossier: File, asCopy: boolean) => {
    setBusy(true);
    setProblem(undefined);
    const zipped = dossier.name.endsWith(".zip");
    const sent = await send<{ treatment_id: string }>(
      "POST",
      `/api/dossiers${zipped ? "/zip" : ""}${asCopy ? "?as=copy" : ""}`,
      new Blob([dossier], { type: zipped ? "application/zip" : "application/json" }),
    );
    setBusy(false);
    if (!sent.ok) {
      setProblem(sent.problem);
      return;
    }
    router.push(`/treatments/${sent.value.treatment_id}/close`);
    router.refresh();
  };
  const choose = (event: ChangeEvent<HTMLInputElement>) => {
    const dossier = event.target.files?.[0];
    event.target.value = "";
    if (!dossier) return;
    setFile(dossier);
    void take(dossier, false);
  };
  return (
    <div>
      <div className="file-btn inline-block">
        <input id={input} type="file" accept="application/json,.json,application/zip,.zip" className="file-input" onChange={choose} />
        <label htmlFor={input} className="btn">
          {busy ? "Reading …" : "Take in a dossier"}
        </label>
      </div>
      {problem && (
        <div className="notice mx-0" role="alert">
          <Sign name={isPassing(problem) ? "away" : "never"}>{problem.title}</Sign>
          <p>{problem.detail} Nothing was taken in.</p>
          {(problem.errors ?? []).slice(0, 5).map(({ path, message }) => (
            <p key={path + message} className="sub">
              {path || "the file"} {message}
            </p>
          ))}
          {problem.status === 409 && file && (
            <button type="button" className="btn justify-self-start" disabled={busy} onClick={() => void take(file, true)}>
              Take it in as a copy
            </button>
          )}
        </div>
      )}
    </div>
  );
}
