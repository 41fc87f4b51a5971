"use client";

export function PrintButton({ label = "Print on A4" }: { label?: string }) {
  return (
    <button type="button" className="btn go" onClick={() => window.print()}>
      {label}
    </button>
  );
}
