"use client";
import type { ReactNode } from "react";
import type { Problem } from "@/core/problem";
import { Sign } from "../signs/Sign";
import { isPassing } from "./send";

interface Props {
  readonly save: string;
  readonly className?: string;
  readonly busy: boolean;
  readonly done?: boolean;
  readonly problem: Problem | undefined;
  /** Further buttons beside it. */
  readonly children?: ReactNode;
}

/** The foot of every form: why it was not saved, the button that saves it, and that it is saved. */
export function FormEnd({ save, className = "btn go", busy, done = false, problem, children }: Props) {
  return (
    <>
      {problem && (
        <div className="notice mx-0" role="alert">
          <Sign name={isPassing(problem) ? "away" : "never"}>{problem.title}</Sign>
          <p>{problem.detail}</p>
          {isPassing(problem) && <p>The fields keep what you typed.</p>}
          {problem.status === 409 && <p>What is on record now stands above; your fields keep yours. Save again to let yours stand.</p>}
        </div>
      )}
      <div className="btn-row mt-4">
        <button type="submit" className={className} disabled={busy}>
          {busy ? "Saving …" : save}
        </button>
        {done && <Sign name="done">Saved</Sign>}
        {children}
      </div>
    </>
  );
}

/** Said where a form holds what was typed before and not saved. */
export function Restored({ when }: { when: boolean }) {
  return when ? <p className="font-semibold">What you typed last time was kept and is back in the fields.</p> : null;
}
