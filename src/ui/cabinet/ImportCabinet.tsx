"use client";
import { useRouter } from "next/navigation";
import { type ChangeEvent, useId, useState } from "react";
import type { Problem } from "@/core/problem";
import { counted } from "@/core/units";
import { send } from "../forms/send";
import { Sign } from "../signs/Sign";

interface Taken {
  readonly products: number;
  readonly lots: number;
  readonly left_out: readonly unknown[];
}

const MAX_BYTES = 4 * 1024 * 1024;
const MOST_SHOWN = 12;

/** Take a list in from CSV: all of it, or nothing with each wrong line named, unless the user leaves those out. */
export function ImportCabinet({ done }: { done: () => void }) {
  const id = useId();
  const router = useRouter();
  const [file, setFile] = useState<File>();
  const [problem, setProblem] = useState<Problem>();
  const [taken, setTaken] = useState<Taken>();
  const [busy, setBusy] = useState(false);
  const take = async (from: File, skip: boolean) => {
    setBusy(true);
    setTaken(undefined);
    const sent = await send<Taken>("POST", `/api/cabinet/csv${skip ? "?skip_bad" : ""}`, from);
    setBusy(false);
    setProblem(sent.ok ? undefined : sent.problem);
    if (!sent.ok) return;
    setTaken(sent.value);
    router.refresh();
  };
  const choose = (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0];
    event.target.value = "";
    if (!chosen) return;
    setFile(chosen);
    if (chosen.size > MAX_BYTES) {
      setProblem({ type: "", title: "Too large", status: 413, detail: `${chosen.name} is over 4 MB: that is no list of jars.` });
      return;
    }
    void take(chosen, false);
  };
  const errors = problem?.errors ?? [];
  return (
    <section aria-label="Take a list in" className="notice mx-0 my-2">
      <p>
        One line a jar, with the columns <b>name, class, lot, size_g, left_g, opened, expires, price_eur</b>, and any figure of the data
        sheet. Jars that are here already are brought to what the file says. “To CSV” writes the same form.
      </p>
      <div className="btn-row pt-2">
        <span className="file-btn">
          <input id={id} type="file" accept=".csv,text/csv" className="file-input" onChange={choose} />
          <label htmlFor={id} className="btn">
            {busy ? "Reading …" : "Choose a CSV file"}
          </label>
        </span>
        <button type="button" className="link-btn" onClick={done}>
          Close
        </button>
      </div>
      {taken && (
        <Sign name="done" wrap>
          {counted(taken.products, "product")} with {counted(taken.lots, "jar is", "jars are")} in
          {taken.left_out.length > 0 ? `; ${taken.left_out.length} wrong cells were left out with their lines` : ""}.
        </Sign>
      )}
      {problem && (
        <div role="alert" className="pt-2">
          <Sign name="never" wrap>
            {problem.detail}
          </Sign>
          <ul>
            {errors.slice(0, MOST_SHOWN).map(({ path, message }) => (
              <li key={`${path} ${message}`}>
                <b>{lineWords(path)}</b>: {message}
              </li>
            ))}
            {errors.length > MOST_SHOWN && <li className="dim">and {errors.length - MOST_SHOWN} more</li>}
          </ul>
          {file && problem.status === 422 && (
            <button type="button" className="btn small mt-1" disabled={busy} onClick={() => void take(file, true)}>
              Leave the wrong lines out, take the rest
            </button>
          )}
        </div>
      )}
    </section>
  );
}

/** `/lines/3/left_g` is "Line 3, left_g". */
function lineWords(path: string): string {
  const [, , line, column] = path.split("/");
  return `Line ${line}${column ? `, ${column}` : ""}`;
}
