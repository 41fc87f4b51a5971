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

test("no class of our own stands there that nothing uses", () => {
  const drawn = files
    .filter(([file]) => file.endsWith(".tsx"))
    .map(([, text]) => text)
    .join("\n");
  const own = files
    .filter(([file]) => file.endsWith(".css"))
    .flatMap(([, text]) => [...text.replace(/\/\*[\s\S]*?\*\//g, "").matchAll(/\.([a-z][\w-]*)/g)].map(([, name = ""]) => name));
  // the word may be put together of a name and a state: sign-go
  const isUsed = (name: string) =>
    new RegExp(`(?<![\\w-])${name}(?![\\w-])`).test(drawn) || drawn.includes(`${name.slice(0, name.lastIndexOf("-") + 1)}$`);
  expect([...new Set(own)].filter((name) => !isUsed(name))).toEqual([]);
});
