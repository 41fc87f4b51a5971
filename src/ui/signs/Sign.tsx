import type { ReactNode } from "react";

export type SignName = "go" | "off" | "soon" | "never" | "away" | "to-come" | "done";

const SHAPES: Readonly<Record<SignName, ReactNode>> = {
  go: <circle cx="8" cy="8" r="7" fill="currentColor" />,
  off: (
    <>
      <rect x="1.5" y="1.5" width="13" height="13" fill="none" stroke="currentColor" strokeWidth="2.6" />
      <path d="M2 8h12" stroke="currentColor" strokeWidth="3.4" />
    </>
  ),
  soon: <path d="M1 2h14L8 15z" fill="var(--color-orpiment)" stroke="var(--color-boneblack)" strokeWidth="1.3" strokeLinejoin="round" />,
  never: <path d="M8 .5L15.500 8 8 15.500 .5 8z" fill="currentColor" />,
  /* away: a broken line, for what can't be reached */
  away: (
    <path d="M1 8h4M11 8h4M6.500 3.500l-2 9M11.500 3.500l-2 9" fill="none" stroke="currentColor" strokeWidth="2.2" strokeLinecap="round" />
  ),
  "to-come": <circle cx="8" cy="8" r="6" fill="none" stroke="currentColor" strokeWidth="2" />,
  done: <path d="M2 8.500l4 4 8-9" fill="none" stroke="currentColor" strokeWidth="2.4" />,
};

/** The shape of a state, without its word: only where the word stands beside it. */
export function SignShape({ name, size = 13 }: { name: SignName; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 16 16" aria-hidden="true">
      {SHAPES[name]}
    </svg>
  );
}

/** A state: shape and word, always both. */
export function Sign({
  name,
  children,
  size = 13,
  className = "",
  wrap = false,
}: {
  name: SignName;
  children: ReactNode;
  size?: number;
  className?: string;
  wrap?: boolean;
}) {
  return (
    <span className={`sign sign-${name} ${className}`}>
      <SignShape name={name} size={size} />
      <span className={wrap ? "whitespace-normal" : "one-line"}>{children}</span>
    </span>
  );
}
