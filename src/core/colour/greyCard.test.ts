import fc from "fast-check";
import { dE00 } from "./deltaE";
import { type Pixel, readByCard } from "./greyCard";

/** What a camera makes of a surface that reflects so much of each channel, under a lamp of some colour and at some exposure. */
const encode = (value: number): number => {
  const share = value <= 0.0031308 ? value * 12.92 : 1.055 * value ** (1 / 2.4) - 0.055;
  return Math.round(Math.min(1, Math.max(0, share)) * 255);
};
const shot = (reflects: readonly number[], lamp: readonly number[]): Pixel =>
  reflects.map((value, i) => encode(value * (lamp[i] ?? 1))) as unknown as Pixel;
const spot = (pixel: Pixel, count = 50): Pixel[] => Array.from({ length: count }, () => pixel);
const GREY = [0.184, 0.184, 0.184];
const DAY = [1, 1, 1];

test("the card itself is a neutral of L 50, whatever the lamp", () => {
  const { lab, spread_dE, doubts } = readByCard(spot(shot(GREY, [1.4, 1, 0.6])), spot(shot(GREY, [1.4, 1, 0.6])), "grey");
  expect(lab.L).toBeCloseTo(50, 0);
  expect(Math.abs(lab.a) + Math.abs(lab.b)).toBeLessThan(1e-3);
  expect([spread_dE, doubts]).toEqual([expect.closeTo(0, 9), []]);
});

test("lamp and exposure fall out: the same surface reads the same under any of them, but for eight bits", () => {
  const channel = fc.double({ min: 0.05, max: 0.6, noNaN: true });
  const lamp = fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 0.5, max: 1.5, noNaN: true })));
  fc.assert(
    fc.property(fc.tuple(channel, channel, channel), lamp, (reflects, colour) => {
      const day = readByCard(spot(shot(GREY, DAY)), spot(shot(reflects, DAY)), "grey").lab;
      const there = readByCard(spot(shot(GREY, colour)), spot(shot(reflects, colour)), "grey").lab;
      expect(dE00(day, there)).toBeLessThan(2.5);
    }),
  );
});

test("a white card reads the same colour as a grey one", () => {
  const ochre = [0.42, 0.27, 0.09];
  const [byGrey, byWhite] = [
    readByCard(spot(shot(GREY, DAY)), spot(shot(ochre, DAY)), "grey").lab,
    readByCard(spot(shot([0.9, 0.9, 0.9], DAY)), spot(shot(ochre, DAY)), "white").lab,
  ];
  expect(dE00(byGrey, byWhite)).toBeLessThan(1);
});

test("what makes it doubtful is said with what to do", () => {
  const grey = spot(shot(GREY, DAY));
  const doubts = (card: Pixel[], of: Pixel[]) => readByCard(card, of, "grey").doubts.join(" ");
  expect(doubts(spot([255, 255, 255]), grey)).toContain("The card is overexposed");
  expect(doubts(grey, spot([255, 200, 90]))).toContain("overexposed or shines");
  expect(doubts(grey, spot([4, 3, 4]))).toContain("take it lighter");
  expect(doubts([...spot([90, 90, 90]), ...spot([150, 150, 150])], grey)).toContain("lit unevenly");
  expect(doubts(grey, [...spot([180, 60, 40]), ...spot([60, 80, 160])])).toContain("more than one colour");
  expect(() => readByCard([], grey, "grey")).toThrow("one pixel");
  expect(() => readByCard(spot([0, 0, 0]), grey, "grey")).toThrow("black");
});
