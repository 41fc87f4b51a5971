"use client";
import { useEffect } from "react";

/** Says on the page that its script runs: what was pressed and typed before is handed over then (`public/early.js`). */
export function Ready() {
  useEffect(() => {
    document.documentElement.dataset.ready = "true";
  }, []);
  return null;
}
