"use client";
import { type ReactNode, useId, useState } from "react";
import type { Role } from "@/core/catalogue";
import { useHydrated } from "../forms/hydrated";
import { useDesk } from "./deskContext";

interface Candidate {
  readonly role: Role;
  /** A class, or a jar by its id. */
  readonly of: string;
  readonly name: string;
}

/** Takes a candidate for its link. */
export function ChooseButton({ role, of, name }: Candidate) {
  const { choose } = useDesk();
  return (
    <button type="button" className="btn small w-full" onClick={() => choose(role, of)} aria-label={`Choose ${name}`}>
      Choose
    </button>
  );
}

/** A verdict that opens into all its reasons. */
export function Reasons({ count, verdict, children }: { count: number; verdict: ReactNode; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="why" aria-expanded={open} onClick={() => setOpen(!open)}>
        {verdict} <u>{open ? "Hide the reasons" : `All reasons (${count})`}</u>
      </button>
      {open && children}
    </>
  );
}

/** The restorer may know better: against the rule, with the reason on record. */
export function TakeAnyway({ role, of, name }: Candidate) {
  const { choose } = useDesk();
  const [reason, setReason] = useState("");
  return (
    <details className="inline-block pl-2">
      <summary className="link-btn inline-flex cursor-pointer items-center">Take it all the same</summary>
      <span className="btn-row">
        <input
          className="txt w-[300px]"
          aria-label={`Why ${name} all the same`}
          placeholder="why; the record keeps it"
          value={reason}
          maxLength={2000}
          onChange={(event) => setReason(event.target.value)}
        />
        <button
          type="button"
          className="btn small"
          disabled={reason.trim() === ""}
          onClick={() => choose(role, of, reason.trim())}
          aria-label={`Take ${name}`}
        >
          Take it
        </button>
      </span>
    </details>
  );
}

/** Gives a link that was taken against the rules back to them. */
export function TakeBack() {
  const { takeBack } = useDesk();
  return (
    <button type="button" className="link-btn" onClick={takeBack}>
      Take it back
    </button>
  );
}

/** Which material all reasons are asked of. */
export function WhyNotSelect({ value, children }: { value: string; children: ReactNode }) {
  const id = useId();
  const hydrated = useHydrated();
  const { whyNot } = useDesk();
  return (
    <>
      <label className="txt-label" htmlFor={id}>
        <b className="text-body text-ink">Why not …?</b> Any material, with all that speaks for and against it here
      </label>
      <select id={id} className="txt max-w-[420px]" value={value} disabled={!hydrated} onChange={(event) => whyNot(event.target.value)}>
        {children}
      </select>
    </>
  );
}
