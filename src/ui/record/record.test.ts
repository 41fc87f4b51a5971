import { createElement } from "react";
import { renderToStaticMarkup } from "react-dom/server";
import { wall } from "@/core/units";
import { closingView, materialsUsed } from "@/core/views/closing";
import { toldEntries } from "@/core/views/judged";
import { DEMO_FILES, demoPiece } from "../demo.fixture";
import { RecordSheet } from "./RecordSheet";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: () => undefined, refresh: () => undefined }) }));

/** The record of a demo piece as it is printed. */
function printed(file: string, by?: string) {
  const { piece, kept, treatment, plan, now } = demoPiece(file, by);
  const part = piece.parts.find(({ id }) => id === kept.part) ?? piece.parts[0];
  const markup = renderToStaticMarkup(
    createElement(RecordSheet, {
      record: {
        id: kept.id,
        title: kept.title,
        piece_title: piece.title,
        reference: piece.reference,
        owner_reference: piece.owner_reference,
        kind: piece.kind,
        part_name: part?.name ?? "",
        substrate: part?.substrate ?? "stoneware",
        finish: part?.finish ?? "none",
      },
      treatment,
      entries: toldEntries(treatment, plan),
      damages: [],
      photographs: kept.photographs.map(({ id, moment, caption, taken_at }) => ({ id, moment, caption, taken_at, width: 4, height: 3 })),
      worked: plan?.repair.damages ?? [],
      names: new Map([
        ...(plan?.repair.operations ?? []).map(({ id, text }) => [id, text] as const),
        ...(plan?.repair.places ?? []).map(({ id, label }) => [id, label] as const),
      ]),
      used: plan ? materialsUsed(treatment, plan) : [],
      wall: wall("Europe/Berlin"),
      now,
      ...(plan ? { closing: closingView(treatment, plan) } : {}),
    }),
  );
  return { markup, treatment, piece, kept };
}

describe.each(DEMO_FILES)("%s", (file) => {
  const { markup, treatment, piece, kept } = printed(file);

  test("names the piece, its mark, and every photograph", () => {
    expect(markup).toContain(`${piece.title}, ${kept.title}`);
    expect(markup).toContain(piece.reference);
    expect(markup.match(/<figure>/g) ?? []).toHaveLength(kept.photographs.length);
  });

  test("tells every entry that stands, and what was weighed", () => {
    const log = markup.slice(markup.indexOf("<h2>Log</h2>"));
    expect(log.match(/<tr>/g) ?? []).toHaveLength(treatment.entries.length);
    for (const { body } of treatment.entries)
      if (body.kind === "done" && body.start?.parts) for (const { name } of body.start.parts) expect(log).toContain(name);
  });

  test("the owner’s page comes first, each deviation stands once, and nothing is called by an id", () => {
    const bench = markup.indexOf("From the bench");
    expect(markup.indexOf("What was wrong")).toBeLessThan(bench);
    if (treatment.settled) expect(markup.indexOf("What the owner may do")).toBeLessThan(bench);
    expect(markup.replaceAll(/<[^>]*>/g, " ")).not.toMatch(/\bd\d+\/[a-z]|\br\d+\/[a-z]/);
    for (const { body } of treatment.entries)
      if ("against" in body && body.against)
        expect(markup.toLowerCase().split(body.against.because.toLowerCase()).length - 1).toBeLessThanOrEqual(1);
  });

  test("says of every damage how it is met and with what, and says what is only a prediction", () => {
    for (const { survey, choice } of treatment.damages) {
      if (survey.body.survey.found) expect(markup).toContain(survey.body.survey.found.replaceAll("'", "&#x27;"));
      if (choice) expect(markup).toContain("<dt>Materials</dt>");
    }
    expect(markup).toContain("Times and strengths are predictions");
    expect(markup).not.toMatch(/undefined|NaN|\[object/);
  });
});

test("who did it stands beside when, where the shop names people", () => {
  expect(printed("prize-saucer.dossier.json", "Mina").markup).toMatch(/\d\d:\d\d, Mina/);
});

test("a closed treatment says who signed it and what the owner may do; an open one says that it is open", () => {
  const closed = printed("prize-saucer.dossier.json").markup;
  expect(closed).toMatch(/closed [^<]+, signed M\./);
  expect(closed).toContain("What the owner may do, and from when");
  expect(printed("lemonade-jar.dossier.json").markup).toContain("open, printed");
});
