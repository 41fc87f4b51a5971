import fc from "fast-check";
import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { DAMAGE_KINDS } from "@/core/catalogue";
import type { Profile } from "@/core/fill/section";
import { sketchOf } from "@/core/survey/sketch";
import { damageAt, damages } from "@/core/survey/survey.fixture";
import { SafetyBar } from "./join/SafetyBar";
import { Section } from "./section/Section";
import { Sketch } from "./survey/Sketch";

const [WIDE, TALL] = [520, 250];
const drawn = (markup: string) => [...markup.matchAll(/\sd="([^"]+)"/g)].map(([, d]) => d ?? "");
/** Pairs of figures of all absolute moves and lines. */
const points = (markup: string) =>
  drawn(markup).flatMap((d) => [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const));
const texts = (markup: string) => [...markup.matchAll(/<text[^>]*>([^<]*)/g)].map(([, text]) => text ?? "");

const sketched = (damage: Parameters<typeof sketchOf>[0]) =>
  renderToStaticMarkup(
    createElement(Sketch, { drawing: sketchOf(damage), hatch: "stoneware", legend: "the loss dashed", width: WIDE, height: TALL }),
  );

describe("the sketch of a damage", () => {
  test.each(DAMAGE_KINDS)("%s: true to a stated scale, told in words, inside its frame", (kind) => {
    const markup = sketched(damageAt(kind, 0.4, 60));
    expect(markup).toMatch(/role="img" aria-label="[^"]{20,}"/);
    expect(texts(markup)[0]).toMatch(/^drawn from your numbers, \d+(\.\d+)? : \d+/);
    expect(markup).toContain("url(#h-stoneware)");
  });

  test("whatever is measured, every point is a figure and lies on the paper", () => {
    fc.assert(
      fc.property(damages, (damage) => {
        const markup = sketched(damage);
        expect(markup).not.toMatch(/NaN|Infinity|undefined/);
        for (const [x, y] of points(markup)) expect([x >= -2 && x <= WIDE + 2, y >= -2 && y <= TALL + 2]).toEqual([true, true]);
      }),
    );
  });
});

const size = fc.double({ min: 0.3, max: 80, noNaN: true });
const profiles: fc.Arbitrary<Profile> = fc.oneof(
  fc.record({ kind: fc.constant("scoop" as const), width: size, depth: size }),
  fc.record({ kind: fc.constant("groove" as const), width: size, depth: size }),
  fc.record({ kind: fc.constant("shaft" as const), width: size, depth: size, through: fc.boolean() }),
  fc.record({ kind: fc.constant("peak" as const), width: size, depth: size, foot: fc.double({ min: 0.1, max: 0.9, noNaN: true }) }),
);

describe("the section of a place that is filled", () => {
  const cut = (profile: Profile, over: Partial<Parameters<typeof Section>[0]> = {}) =>
    renderToStaticMarkup(
      createElement(Section, { profile, hatch: "stoneware", substrate: "stoneware", title: "The chip", width: 620, height: 280, ...over }),
    );

  test("names what it cuts, its scale, and both dimensions", () => {
    const markup = cut({ kind: "scoop", width: 34, depth: 11 });
    expect(markup).toMatch(/aria-label="The chip, scale [^"]+, in millimetres"/);
    expect(texts(markup)).toEqual(expect.arrayContaining(["The chip", "34", "11", "stoneware"]));
  });

  test("layers are told apart, the proud height is said, and the layer that is pointed at is lit", () => {
    const fill = { surfaces: [-5, 0.4], proud_mm: 0.4 };
    const tags = [
      { name: "1", words: "to 6 mm" },
      { name: "2", words: "proud", now: true },
    ];
    const [plainly, lit] = [
      cut({ kind: "scoop", width: 34, depth: 11 }, { fill, tags }),
      cut({ kind: "scoop", width: 34, depth: 11 }, { fill, tags, lit: 1 }),
    ];
    expect(plainly.match(/url\(#h-putty\)/g)).toHaveLength(2);
    expect(new Set([...plainly.matchAll(/fill-opacity="([^"]+)"/g)].map(([, each]) => each)).size).toBe(2);
    expect(plainly).toContain("0.4 proud");
    expect(plainly).not.toContain('stroke-width="3"');
    expect(lit).toContain('stroke-width="3"');
  });

  test("whatever is cut, every point is a figure, and the dimensions stand clear of one another", () => {
    fc.assert(
      fc.property(profiles, (profile) => {
        const markup = cut(profile, { fill: { surfaces: [-profile.depth / 2, 0.3], proud_mm: 0.3 } });
        expect(markup).not.toMatch(/NaN|Infinity|undefined/);
        const boxes = [...markup.matchAll(/<text x="([\d.-]+)" y="([\d.-]+)"([^>]*) class="draw-text bold"[^>]*>([^<]*)/g)].map(
          ([, x, y, rest, text]) => {
            const wide = (text ?? "").length * 7;
            const left = rest?.includes("middle") ? Number(x) - wide / 2 : rest?.includes("end") ? Number(x) - wide : Number(x);
            return { left, right: left + wide, top: Number(y) - 12, bottom: Number(y) };
          },
        );
        const overlaps = boxes.filter((a, i) =>
          boxes.some((b, j) => j > i && a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1),
        );
        expect(overlaps).toEqual([]);
      }),
    );
  });
});

test("the bar of safety shows what is asked, without and with the brace, and never runs out of its frame", () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1000, noNaN: true }), fc.double({ min: 0, max: 1000, noNaN: true }), (without, withIt) => {
      const markup = renderToStaticMarkup(createElement(SafetyBar, { without, withIt, asks: 3 }));
      expect(markup).not.toMatch(/NaN|Infinity|undefined/);
      for (const [, width] of markup.matchAll(/width="([\d.]+)"/g)) expect(Number(width)).toBeLessThanOrEqual(1000);
    }),
  );
});
