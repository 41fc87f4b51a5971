import type { OpName } from "./rows";

/** What lies ready for an operation beside what it weighs: tools and small stuff, in the words of the bench. What every job has is not said. */
export const HAVE_READY: Partial<Readonly<Record<OpName, string>>> = {
  "lead-test": "lead test swabs",
  "test-scrape": "scraper",
  "strip-old": "gel stripper and pH strips",
  bleach: "oxalic acid",
  poultice: "poultice and film",
  raise: "iron and damp cloth",
  degrease: "white spirit",
  mask: "tape or film",
  template: "template paper",
  release: "parting film",
  "film-under": "cling film",
  dam: "film, wax, tape",
  form: "card for the form",
  damp: "spray bottle",
  blade: "blade",
  "damp-cure": "fine mist sprayer",
  "pore-fill": "tinted pore filler",
  "release-off": "white spirit",
  "set-anchors": "stainless screws",
  "cut-rim": "sharp blade",
};
