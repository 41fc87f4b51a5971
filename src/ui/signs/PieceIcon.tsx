import type { ReactNode } from "react";
import type { PieceKind } from "@/core/catalogue";

/** One small drawing a kind of piece, all on the same box and stroke; `other` is the neutral one. */
const DRAWINGS: Readonly<Record<PieceKind, ReactNode>> = {
  vessel: <path d="M15 6h18v6c6 3 9 9 9 16 0 9-4 13-8 15H14c-4-2-8-6-8-15 0-7 3-13 9-16zM7 24h34M7 32h34" />,
  dish: (
    <>
      <ellipse cx="24" cy="25" rx="20" ry="12" />
      <ellipse cx="24" cy="25" rx="9" ry="5" />
      <path d="M24 13l-2 5 4 3" />
    </>
  ),
  figure: <path d="M24 5a6 6 0 1 1 0 12 6 6 0 0 1 0-12zM15 43V32l-4-7c1-5 6-8 13-8s12 3 13 8l-4 7v11zM24 22v10" />,
  relief: <path d="M6 6h36v26l-10 10H6zM12 31c3-12 11-17 24-17-1 6-4 9-8 11s-8 6-16 6zM32 42l3-7 7-3" />,
  furniture: <path d="M4 14h40v7H4zM8 21v22M40 21v22M14 21v13h20V21M20 27h8" />,
  panel: <path d="M7 9h34v30H7zM13 15h22v18H13zM18 28l6-8M25 30l6-9" />,
  instrument: <path d="M16 5h16l-2 12h-4v6h-4v-6h-4zM15 23h18v14l-9 7-9-7zM20 30h8" />,
  cover: (
    <path d="M5 12l6-3v30l-6-3zM43 12l-6-3v30l6-3zM11 12l5 3 5-3 5 3 5-3 6 3M11 36l5-3 5 3 5-3 5 3 6-3M16 15v18M21 12v24M26 15v18M31 12v24" />
  ),
  other: <path d="M24 5l17 9v20l-17 9-17-9V14zM7 14l17 9 17-9M24 23v20" />,
};

export function PieceIcon({ kind, size = 34 }: { kind: PieceKind; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 48 48"
      fill="none"
      stroke="currentColor"
      strokeWidth={(1.4 * 48) / size}
      strokeLinejoin="round"
      strokeLinecap="round"
      aria-hidden="true"
      className="flex-none"
    >
      {DRAWINGS[kind]}
    </svg>
  );
}
