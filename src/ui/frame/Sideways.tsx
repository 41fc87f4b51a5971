import type { ReactNode } from "react";

/** What may be wider than the page scrolls by itself, by the keyboard too. */
export function Sideways({ label, children }: { label: string; children: ReactNode }) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: a box that scrolls is no fieldset
    // biome-ignore lint/a11y/noNoninteractiveTabindex: without it the keyboard can't scroll it
    <div role="group" aria-label={label} tabIndex={0} className="section-rows">
      {children}
    </div>
  );
}
