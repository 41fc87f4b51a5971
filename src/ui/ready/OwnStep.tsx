"use client";
import { useState } from "react";
import { lazily } from "../frame/lazily";
import type { OwnStepProps } from "./OwnStepForm";

const OwnStepForm = lazily(() => import("./OwnStepForm").then((module) => module.OwnStepForm));

/** A step that no rule knows: the press that asks for it. */
export function OwnStep(props: OwnStepProps) {
  const [open, setOpen] = useState(false);
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="link-btn inline-flex cursor-pointer items-center">Add a step</summary>
      {open && <OwnStepForm {...props} />}
    </details>
  );
}
