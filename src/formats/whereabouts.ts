import { crc32 } from "node:zlib";

/**
 * The same picture with nothing but what it takes to show it: the way up, its colour profile and the picture itself, bit for bit. Places,
 * names, comments, thumbnails and whatever lies behind the picture are not taken over. JPEG (ISO 10918-1, CIPA DC-008), PNG (W3C) and WebP
 * (RFC 9649); told apart and walked by their structure, so that what stands in an unusual place is not overlooked. Bare already, it stays
 * as it is.
 */
export function withoutWhereabouts(bytes: Buffer): Buffer {
  if (bytes.length > 2 && bytes.readUInt16BE(0) === 0xffd8) return bareJpeg(bytes);
  if (bytes.toString("latin1", 1, 4) === "PNG") return barePng(bytes);
  if (bytes.toString("latin1", 8, 12) === "WEBP") return bareWebp(bytes);
  return bytes;
}

const EXIF_HEAD = "Exif\0\0";
const latin = (text: string) => Buffer.from(text, "latin1");

// JPEG

const SOI = latin("\xff\xd8");
const EOI = 0xd9;
const SOS = 0xda;
/** Frames, tables and restarts: what a decoder reads. The rest of 0xC0 to 0xDF are of their kind or stand alone. */
const isPicture = (marker: number) => marker >= 0xc0 && marker <= 0xdf;
const standsAlone = (marker: number) => marker === 0x01 || (marker >= 0xd0 && marker <= 0xd7);

function bareJpeg(bytes: Buffer): Buffer {
  const kept: Buffer[] = [];
  let orientation = 1;
  for (const { marker, whole, body } of segments(bytes)) {
    if (marker === 0xe1 && startsWith(body, EXIF_HEAD)) orientation = orientationOf(body.subarray(EXIF_HEAD.length)) ?? orientation;
    const own = isPicture(marker) ? whole : ownSegment(marker, body);
    if (own) kept.push(own);
  }
  // the head of the file form comes before everything else
  const first = kept[0]?.[1] === 0xe0 ? 1 : 0;
  return Buffer.concat([SOI, ...kept.slice(0, first), ...exifSegment(orientation), ...kept.slice(first), Buffer.from([0xff, EOI])]);
}

/** A piece of a JPEG with its marker; of a scan the coded data too. */
interface Segment {
  readonly marker: number;
  readonly whole: Buffer;
  readonly body: Buffer;
}

/** From the first to the end of the first picture; any number of fill bytes may stand before a marker. */
function* segments(bytes: Buffer): Generator<Segment> {
  for (let at = markerFrom(bytes, 2); at !== undefined; ) {
    const marker = bytes[at + 1] ?? EOI;
    if (marker === EOI) return;
    const length = standsAlone(marker) || at + 4 > bytes.length ? 0 : bytes.readUInt16BE(at + 2);
    const end = Math.min(bytes.length, at + 2 + length);
    const last: number = marker === SOS ? endOfScan(bytes, end) : end;
    yield { marker, whole: bytes.subarray(at, last), body: bytes.subarray(at + 4, end) };
    at = markerFrom(bytes, last);
  }
}

function markerFrom(bytes: Buffer, from: number): number | undefined {
  let at = bytes.indexOf(0xff, from);
  while (at >= 0 && bytes[at + 1] === 0xff) at += 1;
  return at < 0 ? undefined : at;
}

const startsWith = (body: Buffer, head: string) => body.toString("latin1", 0, head.length) === head;

const JFIF_BYTES = 14;
const NO_THUMBNAIL = 12;
/** Of the segments that programs write for themselves, those that tell how the colours are meant. */
function ownSegment(marker: number, body: Buffer): Buffer | undefined {
  const segment = (content: Buffer) => Buffer.concat([Buffer.from([0xff, marker]), length16(content.length + 2), content]);
  if (marker === 0xe0 && startsWith(body, "JFIF\0") && body.length >= JFIF_BYTES)
    return segment(Buffer.concat([body.subarray(0, NO_THUMBNAIL), Buffer.from([0, 0])]));
  if (marker === 0xe2 && startsWith(body, "ICC_PROFILE\0")) return segment(body);
  if (marker === 0xee && startsWith(body, "Adobe")) return segment(body);
  return undefined;
}

function length16(value: number): Buffer {
  const bytes = Buffer.alloc(2);
  bytes.writeUInt16BE(value);
  return bytes;
}

/** Where the coded data after a scan's head ends: at the next marker that is neither a stuffed zero nor a restart. */
function endOfScan(bytes: Buffer, from: number): number {
  for (let at = bytes.indexOf(0xff, from); at >= 0; at = bytes.indexOf(0xff, at + 1)) {
    const next = bytes[at + 1];
    if (next !== undefined && next !== 0x00 && next !== 0xff && !standsAlone(next)) return at;
  }
  return bytes.length;
}

function exifSegment(orientation: number): Buffer[] {
  if (orientation === 1) return [];
  const content = Buffer.concat([latin(EXIF_HEAD), tiffOf(orientation)]);
  return [Buffer.concat([Buffer.from([0xff, 0xe1]), length16(content.length + 2), content])];
}

// PNG

const SIGNATURE_BYTES = 8;
const PNG_KEPT = ["IHDR", "PLTE", "IDAT", "tRNS", "gAMA", "cHRM", "sRGB", "iCCP", "cICP", "sBIT", "bKGD", "pHYs"];

function barePng(bytes: Buffer): Buffer {
  const kept: Buffer[] = [bytes.subarray(0, SIGNATURE_BYTES)];
  for (let at = SIGNATURE_BYTES; at + 12 <= bytes.length; ) {
    const size = bytes.readUInt32BE(at);
    const type = bytes.toString("latin1", at + 4, at + 8);
    const end = Math.min(bytes.length, at + 12 + size);
    if (type === "IEND") break;
    if (PNG_KEPT.includes(type)) kept.push(bytes.subarray(at, end));
    if (type === "eXIf") {
      const orientation = orientationOf(bytes.subarray(at + 8, end - 4)) ?? 1;
      if (orientation !== 1) kept.push(pngChunk(type, tiffOf(orientation)));
    }
    at = end;
  }
  return Buffer.concat([...kept, pngChunk("IEND", Buffer.alloc(0))]);
}

function pngChunk(type: string, content: Buffer): Buffer {
  const [head, tail] = [Buffer.alloc(4), Buffer.alloc(4)];
  const named = Buffer.concat([latin(type), content]);
  head.writeUInt32BE(content.length);
  tail.writeUInt32BE(crc32(named));
  return Buffer.concat([head, named, tail]);
}

// WebP

const FRAME_KEPT = ["ALPH", "VP8 ", "VP8L"];
const WEBP_KEPT = [...FRAME_KEPT, "ICCP", "ANIM"];
const FRAME_HEAD_BYTES = 16;
const [HAS_EXIF, HAS_XMP] = [0x08, 0x04];

function bareWebp(bytes: Buffer): Buffer {
  let orientation = 1;
  const kept: Buffer[] = [];
  for (const { type, content } of riffChunks(bytes, 12)) {
    if (WEBP_KEPT.includes(type) || type === "VP8X") kept.push(riffChunk(type, content));
    if (type === "ANMF") kept.push(riffChunk(type, bareFrame(content)));
    const skip = startsWith(content, EXIF_HEAD) ? EXIF_HEAD.length : 0;
    if (type === "EXIF") orientation = orientationOf(content.subarray(skip)) ?? orientation;
  }
  const exif = orientation === 1 ? [] : [riffChunk("EXIF", tiffOf(orientation))];
  const body = Buffer.concat([latin("WEBP"), ...kept.map((chunk) => flagged(chunk, exif.length > 0)), ...exif]);
  const size = Buffer.alloc(4);
  size.writeUInt32LE(body.length);
  return Buffer.concat([latin("RIFF"), size, body]);
}

/** The extended head says what else is in the file. */
function flagged(chunk: Buffer, exif: boolean): Buffer {
  if (!startsWith(chunk, "VP8X") || chunk.length < 9) return chunk;
  const told = Buffer.from(chunk);
  told[8] = ((told[8] ?? 0) & ~(HAS_EXIF | HAS_XMP)) | (exif ? HAS_EXIF : 0);
  return told;
}

function bareFrame(content: Buffer): Buffer {
  const chunks = riffChunks(content, FRAME_HEAD_BYTES).filter(({ type }) => FRAME_KEPT.includes(type));
  return Buffer.concat([content.subarray(0, FRAME_HEAD_BYTES), ...chunks.map((chunk) => riffChunk(chunk.type, chunk.content))]);
}

function riffChunks(bytes: Buffer, from: number): Array<{ type: string; content: Buffer }> {
  const chunks: Array<{ type: string; content: Buffer }> = [];
  // what lies behind the length that the file tells of itself is no part of it
  const end = from === 12 ? Math.min(bytes.length, 8 + bytes.readUInt32LE(4)) : bytes.length;
  for (let at = from; at + 8 <= end; ) {
    const size = bytes.readUInt32LE(at + 4);
    chunks.push({ type: bytes.toString("latin1", at, at + 4), content: bytes.subarray(at + 8, Math.min(end, at + 8 + size)) });
    at += 8 + size + (size % 2);
  }
  return chunks;
}

function riffChunk(type: string, content: Buffer): Buffer {
  const size = Buffer.alloc(4);
  size.writeUInt32LE(content.length);
  return Buffer.concat([latin(type), size, content, Buffer.alloc(content.length % 2)]);
}

// EXIF

const ORIENTATION_TAG = 0x0112;
const SHORT = 3;

/** Which way up, 1 to 8, as the first directory of a TIFF block says; undefined where it does not. */
function orientationOf(tiff: Buffer): number | undefined {
  const little = startsWith(tiff, "II");
  const u16 = (at: number) => (at + 2 > tiff.length ? 0 : little ? tiff.readUInt16LE(at) : tiff.readUInt16BE(at));
  const u32 = (at: number) => (at + 4 > tiff.length ? 0 : little ? tiff.readUInt32LE(at) : tiff.readUInt32BE(at));
  const directory = u32(4);
  for (let i = 0; i < u16(directory); i++) {
    const at = directory + 2 + 12 * i;
    if (u16(at) === ORIENTATION_TAG) return u16(at + 8) >= 1 && u16(at + 8) <= 8 ? u16(at + 8) : undefined;
  }
  return undefined;
}

/** A TIFF block that says which way up, and nothing else. */
function tiffOf(orientation: number): Buffer {
  const tiff = Buffer.alloc(26);
  tiff.write("II*\0", 0, "latin1");
  tiff.writeUInt32LE(8, 4);
  tiff.writeUInt16LE(1, 8);
  tiff.writeUInt16LE(ORIENTATION_TAG, 10);
  tiff.writeUInt16LE(SHORT, 12);
  tiff.writeUInt32LE(1, 14);
  tiff.writeUInt16LE(orientation, 18);
  return tiff;
}
