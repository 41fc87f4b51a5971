import { createHash } from "node:crypto";
import sharp from "sharp";
import { withoutWhereabouts } from "./whereabouts";

export const PHOTOGRAPH_MAX_BYTES = 12 * 1024 * 1024;
const MAX_PIXELS = 100_000_000;
const THUMBNAIL_PX = 560;
const MIME: Readonly<Record<string, string>> = { jpeg: "image/jpeg", png: "image/png", webp: "image/webp" };

interface InspectedPhotograph {
  /** The file without where it was taken; every other byte as it came. */
  readonly bytes: Buffer;
  readonly mime: string;
  readonly width: number;
  readonly height: number;
  readonly sha256: string;
  readonly thumbnail: Buffer;
}

export type Inspection = { readonly ok: true; readonly photograph: InspectedPhotograph } | { readonly ok: false; readonly message: string };

// a picture of 100 million points takes hundreds of megabytes while it is decoded
sharp.concurrency(1);
// and no picture is looked at twice
sharp.cache(false);
let last: Promise<unknown> = Promise.resolve();

/** Judge a file by its content, not its name: JPEG, PNG or WebP that decodes whole; makes the thumbnail (JPEG). One at a time. */
export function inspectPhotograph(bytes: Buffer): Promise<Inspection> {
  const inspected = last.then(() => inspect(bytes));
  last = inspected;
  return inspected;
}

/** Whether bytes are a picture of the kind that they are said to be; nothing is decoded. */
export async function isPicture(bytes: Buffer, mime: string): Promise<boolean> {
  const found = await sharp(bytes, { limitInputPixels: MAX_PIXELS })
    .metadata()
    .catch(() => undefined);
  return found !== undefined && MIME[found.format ?? ""] === mime;
}

async function inspect(bytes: Buffer): Promise<Inspection> {
  if (bytes.length === 0) return { ok: false, message: "The file is empty. Take the photograph again." };
  if (bytes.length > PHOTOGRAPH_MAX_BYTES)
    return { ok: false, message: "The photograph is over 12 MB. Save it smaller, then add it again." };
  try {
    const image = sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: "error" });
    const { format, width, height } = await image.metadata();
    const mime = MIME[format ?? ""];
    if (!mime || !width || !height) return { ok: false, message: WRONG_KIND };
    const thumbnail = await image
      .rotate()
      .resize(THUMBNAIL_PX, THUMBNAIL_PX, { fit: "inside", withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer();
    const clean = withoutWhereabouts(bytes);
    return { ok: true, photograph: { bytes: clean, mime, width, height, sha256: sha256(clean), thumbnail } };
  } catch {
    return { ok: false, message: WRONG_KIND };
  }
}

const WRONG_KIND = "This is not a whole JPEG, PNG or WebP picture. Export it as JPEG, then add it again.";

export function sha256(bytes: Buffer): string {
  return createHash("sha256").update(bytes).digest("hex");
}
