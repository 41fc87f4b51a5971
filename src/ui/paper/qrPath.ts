import { create } from "qrcode";

/** Clear all around it, in modules (ISO/IEC 18004). */
const QUIET = 4;

/**
 * A text as a QR code: how many modules it is wide with its clear margin, and its dark modules as one path.
 * @throws {Error} on a text that no code holds
 */
export function qrPath(text: string): { readonly size: number; readonly path: string } {
  const { modules } = create(text, { errorCorrectionLevel: "M" });
  const dark: string[] = [];
  for (let y = 0; y < modules.size; y++)
    for (let x = 0; x < modules.size; x++) if (modules.get(y, x)) dark.push(`M${x + QUIET} ${y + QUIET}h1v1h-1z`);
  return { size: modules.size + 2 * QUIET, path: dark.join("") };
}
