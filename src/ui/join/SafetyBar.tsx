const WIDE = 300;

/** Safety without and with the brace, and what is asked, on one scale. The figures stand beside it in words. */
export function SafetyBar({ without, withIt, asks }: { without: number; withIt: number; asks: number }) {
  const most = asks * 3;
  const x = (safety: number) => Math.min(1, safety / most) * WIDE;
  return (
    <svg viewBox={`0 0 ${WIDE} 34`} preserveAspectRatio="none" aria-hidden="true" className="mt-1 block h-[34px] w-full">
      <rect x="0.75" y="6" width={WIDE - 1.5} height="20" className="safety-scale" />
      <rect x="0" y="6" width={x(withIt)} height="20" className="safety-with" />
      <rect x="0" y="10" width={x(without)} height="12" fill="currentColor" />
      <path d={`M${x(asks)} 0V34`} className="safety-asked" />
    </svg>
  );
}
