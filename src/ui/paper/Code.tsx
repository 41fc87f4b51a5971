import { qrPath } from "./qrPath";

/** A mark as a QR code with the mark in words for who can't see it. */
export function Code({ mark, className }: { mark: string; className: string }) {
  const { size, path } = qrPath(mark);
  return (
    <svg
      role="img"
      aria-label={`Code of the mark ${mark}`}
      viewBox={`0 0 ${size} ${size}`}
      className={className}
      shapeRendering="crispEdges"
    >
      <rect width={size} height={size} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
}
