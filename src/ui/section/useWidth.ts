import { type RefObject, useEffect, useState } from "react";

/** A drawing is laid out for a width between these, px: narrower its words would overlap its lines, wider nothing is gained. */
const [LEAST, MOST] = [320, 680];

/** How wide a drawing may be, so that its words keep their size on a phone. */
export function useWidth(holder: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(MOST);
  useEffect(() => {
    if (!holder.current) return;
    const seen = new ResizeObserver(([entry]) => {
      if (entry) setWidth(Math.round(Math.min(MOST, Math.max(LEAST, entry.contentRect.width))));
    });
    seen.observe(holder.current);
    return () => seen.disconnect();
  }, [holder]);
  return width;
}
