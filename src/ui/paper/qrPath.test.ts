import jsQR from "jsqr";
import { qrPath } from "./qrPath";

/** The path as a picture, four pixels a module, as a camera would see it. */
function pixels({ size, path }: ReturnType<typeof qrPath>): { data: Uint8ClampedArray; width: number } {
  const scale = 4;
  const width = size * scale;
  const data = new Uint8ClampedArray(width * width * 4).fill(255);
  for (const [, x, y] of path.matchAll(/M(\d+) (\d+)h1/g))
    for (let i = 0; i < scale * scale; i++) {
      const at = ((Number(y) * scale + Math.floor(i / scale)) * width + Number(x) * scale + (i % scale)) * 4;
      data.fill(0, at, at + 3);
    }
  return { data, width };
}

test.each(["HF-047", "T-0e60f0", "Łódź ž µ ≤ 12 Größe", "a mark as long as marks may be ".repeat(3)])(
  "“%s” is read back by another decoder",
  (text) => {
    const { data, width } = pixels(qrPath(text));
    expect(jsQR(data, width, width)?.data).toBe(text);
  },
);
