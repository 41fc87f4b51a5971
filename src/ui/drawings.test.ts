import fc from "fast-check";
import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { DAMAGE_KINDS } from "@/core/catalogue";
import { lossScene } from "@/core/fill/section";
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

/** A chip of two layers, the first done: what the log of a lemonade jar comes to. */
const CUT: Parameters<typeof Section>[0]["cut"] = {
  title: "The chip",
  note: "outer face up",
  words: "Section of the chip in stoneware.",
  layers: [
    { name: "Layer 1", material: "Epoxy putty", hatch: "putty", plan_mm: 5.7, shrinks_mm: 0.05, state: "done" },
    { name: "Layer 2", material: "Epoxy putty", hatch: "putty-2", plan_mm: 5.8, shrinks_mm: 0.05, state: "planned" },
  ],
  scene: lossScene({
    profile: { kind: "scoop", width: 34, depth: 11 },
    hatch: "stoneware",
    layers: [
      { name: "Layer 1", words: "done", hatch: "putty", surface_mm: -5.4, shrinks_mm: 0.05 },
      { name: "Layer 2", words: "planned", hatch: "putty-2", surface_mm: 0.4, shrinks_mm: 0.05 },
    ],
    proud_mm: 0.4,
    trough: false,
    radial: false,
    keyed: true,
    dam: "form",
  }),
};

describe("the section of a place that is filled", () => {
  const cut = (over: Partial<Parameters<typeof Section>[0]> = {}) =>
    renderToStaticMarkup(createElement(Section, { cut: CUT, width: 680, tallest: 250, light: () => undefined, ...over }));

  test("names what it cuts, its scale and its dimensions, and says the same in words", () => {
    const markup = cut();
    expect(markup).toMatch(/aria-label="The chip, scale 2 : 1, in millimetres"/);
    expect(markup).toContain("<desc>Section of the chip in stoneware.</desc>");
    expect(texts(markup)).toEqual(expect.arrayContaining(["The chip", "34", "11", "0.4 proud"]));
    expect(markup).not.toMatch(/NaN|Infinity|undefined/);
  });

  test("two layers of one putty are told apart, what is planned is dashed, and what is there is whole", () => {
    const layers = [...cut().matchAll(/<g data-shape="layer".*?<\/g>/g)].map(([markup]) => markup);
    expect(layers.map((markup) => /url\(#h-([\w-]+)\)/.exec(markup)?.[1])).toEqual(["putty", "putty-2"]);
    expect(layers.map((markup) => markup.includes("stroke-dasharray"))).toEqual([false, true]);
  });

  test("a layer can be reached by the keyboard, says what it is, and is lit when it is pointed at", () => {
    expect(cut()).toContain('role="button" tabindex="0" aria-label="Layer 1, Epoxy putty, done" aria-pressed="false"');
    const lit = cut({ lit: 1 });
    expect(lit).toContain('aria-label="Layer 2, Epoxy putty, planned" aria-pressed="true"');
    expect(lit.match(/stroke-width="3.4"/g)).toHaveLength(1);
  });

  test("on paper nothing asks to be pressed", () => {
    expect(cut({ light: undefined })).not.toContain("button");
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
