"use client";
import { EllipsisVertical } from "lucide-react";
import { useState } from "react";
import { lazily } from "../frame/lazily";
import type { MenuOf } from "./menuOf";

const TreatmentDialog = lazily(() => import("./TreatmentDialog").then((module) => module.TreatmentDialog));

/** What is done rarely to a treatment: its piece, its record, its dossier, its end. */
export function TreatmentMenu(of: MenuOf) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="btn small" aria-haspopup="dialog" aria-label="More for this treatment" onClick={() => setOpen(true)}>
        <EllipsisVertical size={18} aria-hidden="true" />
      </button>
      {open && <TreatmentDialog {...of} close={() => setOpen(false)} />}
    </>
  );
}
