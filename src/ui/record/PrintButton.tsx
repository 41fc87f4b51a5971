"use client";

export function PrintButton() {
  return (
    <button type="button" className="btn go" onClick={() => window.print()}>
      Print on A4
    </button>
  );
}
