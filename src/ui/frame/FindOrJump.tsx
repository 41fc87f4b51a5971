"use client";
import { Search } from "lucide-react";
import { useState } from "react";
import { useShortcut } from "./keys";
import { lazily } from "./lazily";

const FindDialog = lazily(() => import("./FindDialog").then((module) => module.FindDialog));

/** Find a piece or treatment in the record, or jump to a place. Opens with `/`. */
export function FindOrJump() {
  const [open, setOpen] = useState(false);
  useShortcut("/", () => setOpen(true));
  return (
    <>
      <button type="button" className="find tight-focus" aria-haspopup="dialog" aria-label="Find or jump to" onClick={() => setOpen(true)}>
        <Search size={15} strokeWidth={2} aria-hidden="true" />
        <span>Find or jump to</span>
        <kbd>/</kbd>
      </button>
      {open && <FindDialog close={() => setOpen(false)} />}
    </>
  );
}
