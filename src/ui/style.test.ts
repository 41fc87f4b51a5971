import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";

const ROOT = path.join(__dirname, "..");
const files = readdirSync(ROOT, { recursive: true, encoding: "utf8" })
  .filter((file) => /\.(css|tsx)$/.test(file))
  .map((file) => [file, readFileSync(path.join(ROOT, file), "utf8")] as const);
const theme = files.find(([file]) => file.endsWith("globals.css"))?.[1] ?? "";
const SIZES = new Set([...theme.matchAll(/--text-([a-z]+): \d+px/g)].map(([, name]) => name));

test("there are nine text sizes at most, and every text has one of them", () => {
  expect(SIZES.size).toBeGreaterThan(4);
  expect(SIZES.size).toBeLessThanOrEqual(9);
  for (const [file, text] of files) {
    const own = [
      ...text.matchAll(
        /font: \d+ \d+px[^;]*|font-size: (?!var\(--text-)[^;]+|fontSize: (?!"var\(--text-)[^,}]+|text-\[[\d.]+(px|rem|em)\]/g,
      ),
    ].map(([found]) => found);
    expect([file, own]).toEqual([file, []]);
    const named = [...text.matchAll(/var\(--text-([a-z]+)\)/g)].map(([, name]) => name);
    expect([file, named.filter((name) => !SIZES.has(name))]).toEqual([file, []]);
  }
});
