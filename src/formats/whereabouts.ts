import { crc32 } from "node:zlib";

/** Part of a file: from, and up to. */
interface Span {
  readonly from: number;
  readonly to: number;
}
interface Found {
  /** EXIF as TIFF. */
  readonly exif: Span[];
  /** XMP packets. */
  readonly xmp: Span[];
  /** Chunks with a checksum after them: PNG. */
  readonly summed: Span[];
}

/**
 * The same picture without where it was taken: the GPS directory of its EXIF emptied, its XMP blanked, every other byte as it was. JPEG
 * (CIPA DC-008, ISO 10918-1), PNG (W3C, eXIf) and WebP (RIFF containers).
 */
export function withoutWhereabouts(bytes: Buffer): Buffer {
  const clean = Buffer.from(bytes);
  const { exif, xmp, summed } = metadataOf(clean);
  for (const span of exif) emptyGps(clean.subarray(span.from, span.to));
  for (const { from, to } of xmp) clean.fill(0x20, from, to);
  for (const { from, to } of summed) if (to + 4 <= clean.length) clean.writeUInt32BE(crc32(clean.subarray(from, to)), to);
  return clean;
}

function metadataOf(bytes: Buffer): Found {
  const found: Found = { exif: [], xmp: [], summed: [] };
  if (bytes.readUInt16BE(0) === 0xffd8) jpeg(bytes, found);
  else if (bytes.toString("latin1", 1, 4) === "PNG") png(bytes, found);
  else if (bytes.toString("latin1", 8, 12) === "WEBP") webp(bytes, found);
  return found;
}

const EXIF_HEAD = "Exif\0\0";
const XMP_HEAD = "http://ns.adobe.com/xap/1.0/\0";

function jpeg(bytes: Buffer, found: Found): void {
  for (let at = 2; at + 4 < bytes.length && bytes[at] === 0xff && bytes[at + 1] !== 0xda; ) {
    const [from, to] = [at + 4, at + 2 + bytes.readUInt16BE(at + 2)];
    if (bytes[at + 1] === 0xe1) headed(bytes, { from, to }, found);
    at = to;
  }
}

/** A segment that says what it is in its first bytes. */
function headed(bytes: Buffer, { from, to }: Span, { exif, xmp }: Found): void {
  const head = bytes.toString("latin1", from, from + XMP_HEAD.length);
  if (head.startsWith(EXIF_HEAD)) exif.push({ from: from + EXIF_HEAD.length, to });
  if (head === XMP_HEAD) xmp.push({ from: from + XMP_HEAD.length, to });
}

const XMP_KEYWORD = "XML:com.adobe.xmp\0";
/** A private chunk that every reader passes over: lower, lower, upper, lower (W3C PNG, 5.4). */
const NOTHING = "nuLl";

/** A packet is packed or plain in a text chunk: the whole chunk is emptied. */
function png(bytes: Buffer, { exif, xmp, summed }: Found): void {
  for (let at = 8; at + 12 <= bytes.length; ) {
    const [from, to] = [at + 8, Math.min(bytes.length, at + 8 + bytes.readUInt32BE(at))];
    const type = bytes.toString("latin1", at + 4, from);
    const packet = ["iTXt", "zTXt"].includes(type) && bytes.toString("latin1", from, from + XMP_KEYWORD.length) === XMP_KEYWORD;
    if (type === "eXIf") exif.push({ from, to });
    if (packet) xmp.push({ from, to });
    if (packet) bytes.write(NOTHING, at + 4, "latin1");
    if (packet || type === "eXIf") summed.push({ from: at + 4, to });
    at = to + 4;
  }
}

function webp(bytes: Buffer, { exif, xmp }: Found): void {
  for (let at = 12; at + 8 <= bytes.length; ) {
    const size = bytes.readUInt32LE(at + 4);
    const [from, to] = [at + 8, Math.min(bytes.length, at + 8 + size)];
    const type = bytes.toString("latin1", at, at + 4);
    const skip = bytes.toString("latin1", from, from + EXIF_HEAD.length) === EXIF_HEAD ? EXIF_HEAD.length : 0;
    if (type === "EXIF") exif.push({ from: from + skip, to });
    if (type === "XMP ") xmp.push({ from, to });
    at += 8 + size + (size % 2);
  }
}

const GPS_TAG = 0x8825;
/** Bytes of one value, by TIFF type. */
const TYPE_BYTES = [0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8];

/** Overwrite the entries of the GPS directory and what they point to; offsets that lead out of the block are left alone. */
function emptyGps(tiff: Buffer): void {
  const little = tiff.toString("latin1", 0, 2) === "II";
  const u16 = (at: number) => (at + 2 > tiff.length ? 0 : little ? tiff.readUInt16LE(at) : tiff.readUInt16BE(at));
  const u32 = (at: number) => (at + 4 > tiff.length ? 0 : little ? tiff.readUInt32LE(at) : tiff.readUInt32BE(at));
  const entries = (directory: number) =>
    Array.from({ length: u16(directory) }, (_, i) => directory + 2 + 12 * i).filter((at) => at + 12 <= tiff.length);
  for (const pointer of entries(u32(4)).filter((at) => u16(at) === GPS_TAG)) {
    const gps = u32(pointer + 8);
    const all = entries(gps);
    for (const at of all) {
      const size = (TYPE_BYTES[u16(at + 2)] ?? 1) * u32(at + 4);
      if (size > 4) tiff.fill(0, Math.min(tiff.length, u32(at + 8)), Math.min(tiff.length, u32(at + 8) + size));
    }
    if (gps > 0 && gps + 2 <= tiff.length) tiff.fill(0, gps, Math.min(tiff.length, gps + 6 + 12 * all.length));
  }
}
