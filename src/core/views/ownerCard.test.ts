import fc from "fast-check";
import { DAMAGE_KINDS } from "../catalogue";
import { damageAt } from "../survey/survey.fixture";
import { closingView } from "./closing";
import { hoursWords, mendedWords, ownerCardOf, ownerWhen } from "./ownerCard";
import { CHOSEN, done, matched, mixed, NOON, placed, ready, see, surveyed, type Told, WALL } from "./story.fixture";

function cardOf(told: readonly Told[]) {
  const { treatment, worked } = see(told);
  return ownerCardOf(treatment, worked, closingView(treatment, worked), WALL);
}

test("the owner reads what was wrong and what is done, then what he may do, in the order of time", () => {
  const { sentences, rows } = cardOf(CHOSEN);
  expect(sentences).toEqual([expect.stringMatching(/^A piece was chipped off its edge: 17 × 11 × 12 mm\.$/)]);
  const order = ["today", "full", "never"];
  expect(rows.map(({ when }) => order.indexOf(when))).toEqual([...rows.map(({ when }) => order.indexOf(when))].sort());
  for (const { acts } of rows) expect(acts.length).toBeGreaterThan(0);
});

test("what is done is told by what is on record, and no more than that", () => {
  const filled = cardOf([...CHOSEN, ...ready, [590, mixed(1)], [585, placed(1)]]);
  expect(filled.sentences[0]).toMatch(/ We filled it\.$/);
  const all = see(CHOSEN).acts.map(({ op }, i): Told => [600 - i, done(op.id)]);
  expect(cardOf([...CHOSEN, ...all]).sentences[0]).toMatch(/ We filled it, coloured it and gave it a clear coat\.$/);
});

test("no kind of damage goes without its sentence, and none is told in words of the trade", () => {
  const kinds = fc.constantFrom(...DAMAGE_KINDS);
  fc.assert(
    fc.property(kinds, fc.double({ min: 0.1, max: 0.4, noNaN: true }), (kind, share) => {
      const { treatment } = see([[700, surveyed(damageAt(kind, share, 30))], ...CHOSEN]);
      const [sentence = ""] = ownerCardOf(treatment, undefined, { owner: [] }, WALL).sentences;
      expect(sentence).toMatch(/^[A-Z].*\.$/);
      expect(sentence).not.toMatch(/arris|veneer|kerf|glue line/);
    }),
  );
});

test("of many damages the card tells three and says that there are more", () => {
  const many = Array.from({ length: 5 }, (_, i): Told => [700 - i, surveyed(undefined, {}, { damage: `d${i + 1}` })]);
  const { treatment, worked } = see([...many, [600, matched]]);
  const { sentences } = ownerCardOf(treatment, worked, { owner: [] }, WALL);
  expect(sentences).toHaveLength(4);
  expect(sentences.at(-1)).toBe("And 2 more, which the record tells.");
});

test("a date is only promised where the material has one", () => {
  expect([
    ownerWhen("full", undefined, WALL),
    ownerWhen("full", NOON, WALL),
    ownerWhen("today", NOON, WALL),
    ownerWhen("never", NOON, WALL),
  ]).toEqual(["From full cure", "From Wed 7 Oct", "From today", "Never"]);
});

test("whom to ask says when somebody is there; days in a row as from and to", () => {
  const hours = { from: "08:30", to: "17:00" };
  expect(hoursWords({ ...hours, days: ["mon", "tue", "wed", "thu", "fri"] })).toBe("Mon to Fri 8:30 to 17:00");
  expect(hoursWords({ ...hours, days: ["wed", "mon", "sat"] })).toBe("Mon, Wed, Sat 8:30 to 17:00");
});

test("a card says since when it is in work until it is signed", () => {
  const { treatment } = see(CHOSEN);
  expect(mendedWords(treatment.entries, undefined, WALL)).toBe("in work since Wed 7 Oct");
  expect(mendedWords([], undefined, WALL)).toBe("");
});
