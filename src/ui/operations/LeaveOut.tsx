"use client";
import { useState } from "react";
import type { OperationView } from "@/core/views/operationView";
import { lazily } from "../frame/lazily";

const LeaveOutForm = lazily(() => import("./LeaveOutForm").then((module) => module.LeaveOutForm));

/** The press that leaves several operations out in one go. */
export function LeaveOut({ operations }: { operations: readonly Pick<OperationView, "id" | "title" | "round">[] }) {
  const [open, setOpen] = useState(false);
  if (operations.length < 2) return null;
  if (open) return <LeaveOutForm operations={operations} close={() => setOpen(false)} />;
  return (
    <button type="button" className="link-btn" onClick={() => setOpen(true)}>
      Leave several out
    </button>
  );
}
