import sharp from "sharp";
import { inspectPhotograph } from "./photograph";
import { withoutWhereabouts } from "./whereabouts";

const LATITUDE = "48/1 12/1 3333/100";
const tagged = (format: "jpeg" | "png" | "webp") =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: "#b08968" } })
    [format]()
    .withExif({ IFD0: { Copyright: "Haldenau workshop" }, IFD3: { GPSLatitudeRef: "N", GPSLatitude: LATITUDE } })
    .toBuffer();

/** Tags of the GPS directory that an EXIF block still has. */
async function gpsTags(picture: Buffer): Promise<number> {
  const { exif } = await sharp(picture).metadata();
  if (!exif) return 0;
  const tiff = exif.toString("latin1", 0, 4) === "Exif" ? exif.subarray(6) : exif;
  const little = tiff.toString("latin1", 0, 2) === "II";
  const u16 = (at: number) => (little ? tiff.readUInt16LE(at) : tiff.readUInt16BE(at));
  const u32 = (at: number) => (little ? tiff.readUInt32LE(at) : tiff.readUInt32BE(at));
  const ifd = u32(4);
  for (let i = 0; i < u16(ifd); i++) {
    const at = ifd + 2 + 12 * i;
    if (u16(at) === 0x8825) return u16(u32(at + 8));
  }
  return 0;
}

test.each(["jpeg", "png", "webp"] as const)("a %s keeps its picture and its copyright, and loses where it was taken", async (format) => {
  const before = await tagged(format);
  expect(await gpsTags(before)).toBeGreaterThan(0);
  const after = withoutWhereabouts(before);
  expect(await gpsTags(after)).toBe(0);
  expect(after.length).toBe(before.length);
  expect((await sharp(after).metadata()).exif?.toString("latin1")).toContain("Haldenau workshop");
  expect(await sharp(after, { failOn: "warning" }).raw().toBuffer()).toEqual(await sharp(before).raw().toBuffer());
});

test("coordinates in an XMP packet are blanked too, packed or plain", async () => {
  const xmp = '<?xpacket begin="" id="W5M0MpCehiHzreSzNTczkc9d"?><x:xmpmeta xmlns:x="adobe:ns:meta/"><GPS>48,12.5N</GPS></x:xmpmeta>';
  for (const format of ["jpeg", "png", "webp"] as const) {
    const grey = sharp({ create: { width: 8, height: 8, channels: 3, background: "#333" } });
    const before = await grey[format]().withXmp(xmp).toBuffer();
    expect((await sharp(before).metadata()).xmp?.includes("48,12.5N")).toBe(true);
    const after = await sharp(withoutWhereabouts(before), { failOn: "warning" }).metadata();
    expect([after.width, after.xmp?.includes("48,12.5N") ?? false]).toEqual([8, false]);
  }
});

test("what has no such data stays byte for byte; what is cut short or lies about its lengths breaks nothing", async () => {
  const plain = await sharp({ create: { width: 8, height: 8, channels: 3, background: "#333" } })
    .jpeg()
    .toBuffer();
  expect(withoutWhereabouts(plain)).toEqual(plain);
  const whole = await tagged("jpeg");
  for (let cut = 2; cut < whole.length; cut += 7) expect(() => withoutWhereabouts(whole.subarray(0, cut))).not.toThrow();
  const lying = Buffer.from(whole);
  for (let at = 30; at < 200; at += 3) {
    lying[at] = 0xff;
    expect(() => withoutWhereabouts(lying)).not.toThrow();
  }
});

test("a photograph that is added is kept without it, and its checksum is that of what is kept", async () => {
  const inspected = await inspectPhotograph(await tagged("jpeg"));
  expect(inspected.ok && (await gpsTags(inspected.photograph.bytes))).toBe(0);
});
