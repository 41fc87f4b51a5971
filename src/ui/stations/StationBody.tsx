import type { ReactNode } from "react";

/** What stands at a station as one text, without panes. */
export function StationBody({ children }: { children: ReactNode }) {
  return (
    <div className="station">
      <div className="station-body">{children}</div>
    </div>
  );
}
