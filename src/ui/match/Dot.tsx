/** A verdict's third cue beside its word: full, half or empty. */
export function Dot({ degree }: { degree: number }) {
  return (
    <svg width="12" height="12" viewBox="0 0 16 16" aria-hidden="true">
      <circle cx="8" cy="8" r="6.500" fill={degree >= 1 ? "currentColor" : "none"} stroke="currentColor" strokeWidth="2" />
      {degree > 0 && degree < 1 && <path d="M8 1.500a6.500 6.500 0 0 0 0 13z" fill="currentColor" />}
    </svg>
  );
}
