import fc from "fast-check";
import sharp from "sharp";
import { inspectPhotograph } from "./photograph";
import { withoutWhereabouts } from "./whereabouts";

const FORMATS = ["jpeg", "png", "webp"] as const;
const TOLD = ["48/1 12/1 3333/100", "Haldenau workshop", "48,12.5N", "Fairground lane 4"] as const;
const XMP = `<?xpacket begin="" id="W5M0MpCehiHzreSzNTczkc9d"?><x:xmpmeta xmlns:x="adobe:ns:meta/"><GPS>${TOLD[2]}</GPS></x:xmpmeta>`;

const picture = () => sharp({ create: { width: 40, height: 30, channels: 3, background: "#b08968" } });
const tagged = (format: (typeof FORMATS)[number], orientation = 6) =>
  picture()
    [format]()
    .withExif({ IFD0: { Copyright: TOLD[1], Orientation: String(orientation) }, IFD3: { GPSLatitudeRef: "N", GPSLatitude: TOLD[0] } })
    .withXmp(XMP)
    .withMetadata({ orientation })
    .toBuffer();
const pixels = (file: Buffer) => sharp(file, { failOn: "warning" }).raw().toBuffer();
const leaks = (file: Buffer) => TOLD.filter((told) => file.includes(told) || file.includes(Buffer.from(told, "utf16le")));

describe.each(FORMATS)("a %s", (format) => {
  test("keeps its picture and its way up, and nothing of where, whose and when", async () => {
    const before = await tagged(format);
    expect(leaks(before).length).toBeGreaterThan(0);
    const after = withoutWhereabouts(before);
    expect(leaks(after)).toEqual([]);
    const { orientation, exif, xmp, width, height } = await sharp(after).metadata();
    expect([orientation, width, height, xmp]).toEqual([6, 40, 30, undefined]);
    expect(exif?.length ?? 0).toBeLessThan(40);
    expect(await pixels(after)).toEqual(await pixels(before));
  });

  test("keeps its colour profile", async () => {
    const before = await picture().withIccProfile("p3")[format]().toBuffer();
    const profile = async (file: Buffer) => (await sharp(file).metadata()).icc?.toString("base64");
    expect(await profile(before)).toBeTruthy();
    expect(await profile(withoutWhereabouts(before))).toBe(await profile(before));
  });

  test("that is bare already stays byte for byte", async () => {
    const once = withoutWhereabouts(await tagged(format));
    expect(withoutWhereabouts(once)).toEqual(once);
    const plain = await picture()[format]().toBuffer();
    expect(withoutWhereabouts(plain)).toEqual(plain);
  });

  test("with something behind it loses that", async () => {
    const plain = await picture()[format]().toBuffer();
    const second = await tagged(format);
    expect(withoutWhereabouts(Buffer.concat([plain, second]))).toEqual(plain);
  });

  test("cut short or with bytes that lie, it breaks nothing", async () => {
    const whole = await tagged(format);
    const changes = fc.array(fc.tuple(fc.nat(whole.length - 1), fc.nat(255)), { maxLength: 12 });
    fc.assert(
      fc.property(fc.nat(whole.length), changes, (cut, wrong) => {
        const lying = Buffer.from(whole.subarray(0, cut));
        for (const [at, byte] of wrong) if (at < lying.length) lying[at] = byte;
        expect(() => withoutWhereabouts(lying)).not.toThrow();
      }),
      { numRuns: 300 },
    );
  });
});

describe("in a JPEG, wherever it stands", () => {
  const segment = (marker: number, content: Buffer, fill = 0) =>
    Buffer.concat([Buffer.alloc(fill, 0xff), Buffer.from([0xff, marker, (content.length + 2) >> 8, (content.length + 2) & 0xff]), content]);
  const said = (head: string) => Buffer.concat([Buffer.from(head, "latin1"), Buffer.from(TOLD[3])]);
  test.each([
    ["behind fill bytes", segment(0xe1, said("Exif\0\0"), 3)],
    ["in extended XMP", segment(0xe1, said("http://ns.adobe.com/xmp/extension/\0"))],
    ["in an IPTC record", segment(0xed, said("Photoshop 3.0\x008BIM\x04\x04"))],
    ["in a comment", segment(0xfe, said(""))],
    ["in a list of further pictures", segment(0xe2, said("MPF\0"))],
    ["in a maker's own segment", segment(0xeb, said("JP"))],
    ["in the thumbnail of the file's head", segment(0xe0, said("JFXX\0"))],
  ])("it is dropped: %s", async (_, told) => {
    const plain = await picture().jpeg().toBuffer();
    const before = Buffer.concat([plain.subarray(0, 2), told, plain.subarray(2)]);
    expect(leaks(before)).toEqual([TOLD[3]]);
    const after = withoutWhereabouts(before);
    expect(leaks(after)).toEqual([]);
    expect(await pixels(after)).toEqual(await pixels(plain));
  });

  test("a progressive picture keeps all of its scans", async () => {
    const before = await picture().jpeg({ progressive: true }).toBuffer();
    expect(withoutWhereabouts(before)).toEqual(before);
  });
});

test("in a PNG text and times go; in an animated WebP every frame stays", async () => {
  const png = await tagged("png");
  const chunk = Buffer.concat([Buffer.from([0, 0, 0, TOLD[3].length]), Buffer.from(`tEXt${TOLD[3]}`), Buffer.alloc(4)]);
  expect(leaks(withoutWhereabouts(Buffer.concat([png.subarray(0, 33), chunk, png.subarray(33)])))).toEqual([]);
  const frames = await sharp(Buffer.alloc(8 * 16 * 3, 90), { raw: { width: 8, height: 16, channels: 3, pageHeight: 8 } })
    .webp()
    .toBuffer();
  expect((await sharp(withoutWhereabouts(frames), { animated: true }).metadata()).pages).toBe(
    (await sharp(frames, { animated: true }).metadata()).pages,
  );
});

test("a photograph that is added is kept so, and its checksum is that of what is kept", async () => {
  const inspected = await inspectPhotograph(await tagged("jpeg"));
  if (!inspected.ok) throw new Error(inspected.message);
  expect(leaks(inspected.photograph.bytes)).toEqual([]);
  const again = await inspectPhotograph(inspected.photograph.bytes);
  expect(again.ok && again.photograph.sha256).toBe(inspected.photograph.sha256);
});
