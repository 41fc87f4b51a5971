import { job, jobInput, jobOf } from "./jobs.fixture";

const grams = (of: ReturnType<typeof job>, id: string) => of.op(id).mass_g ?? 0;

describe("16, ticket cabinet", () => {
  const cabinet = job(16);
  test("seven holes of 0.373 cm³ and three gouges of 0.123 go out of one mix, each in one push", () => {
    expect(cabinet.place("holes/loss").volume_cm3).toBeCloseTo((Math.PI / 4) * 25 * 0.019, 6);
    expect(cabinet.place("gouges/loss").volume_cm3).toBeCloseTo(0.123, 2);
    const mixes = cabinet.all("fill/mix").filter(({ places }) => places.includes("holes/loss"));
    expect(mixes).toHaveLength(1);
    expect(mixes[0]?.places).toEqual(expect.arrayContaining(["holes/loss", "gouges/loss"]));
    expect(mixes[0]?.text).toMatch(/hardener 0\.\d\d g \(.* is right\)/);
  });
  test("under paint the bare place is filled, not veneered, and nothing is stained or toned", () => {
    expect(cabinet.ways.find(({ damage }) => damage === "veneer")?.way).toBe("cut-fill");
    expect(cabinet.has("colour/stain")).toBe(false);
    expect(cabinet.has("strip-old")).toBe(false);
  });
  test("behind, what came through is knocked off; the old lacquer is flatted before the primer shows what is low", () => {
    expect(cabinet.op("off-dam").text).toMatch(/knock off/);
    expect(cabinet.inOrder("colour/flat-old", "level/prime-1", "check-prime", "colour/under-1")).toBe(true);
  });
});

describe("17, showman’s stool", () => {
  const stool = job(17);
  test("faces of 15.9 cm², end grain: braced though no load is typed; the own dowel of 16 mm stands", () => {
    expect((stool.place("post/joint").area_mm2 ?? 0) / 100).toBeCloseTo(15.9, 1);
    expect(stool.ways.find(({ damage }) => damage === "post")?.way).toBe("brace");
    expect(stool.op("join/drill/post").text).toMatch(/wood dowel Ø 16 mm/);
  });
  test("foaming glue is picked off, warm air only where it reaches the break alone", () => {
    expect(stool.op("remove-old/post").text).toMatch(/froth.*pick.*warm air only where/);
    expect(stool.op("remove-old/post").why).toMatch(/80 to 120 °C.*shellac stands 50 °C/);
  });
  test("end grain is wetted thin, then with cream; pressed along the post, the rung by a wrap; no barrier", () => {
    expect(stool.op("bond-1/post").text).toMatch(/end grain.*five minutes; stir silica/);
    expect(stool.op("clamp-1/post").text).toMatch(/along the piece/);
    expect(stool.op("clamp-1/rung").text).toMatch(/Wrap/);
    expect(stool.has("barrier")).toBe(false);
  });
});

describe("18, cashier’s stand", () => {
  const stand = job(18);
  test("lead, the loose corner cut out, then stripper, then bleach, then veneer, stain and film", () => {
    expect(
      stand.inOrder(
        "lead-test",
        "test-scrape",
        "cut-out/lifted",
        "strip-old",
        "ready/bleach",
        "join/bond-1/lifted",
        "sand-face",
        "colour/stain-1",
        "colour/seal-1",
        "colour/tone-1",
        "colour/clear-1",
      ),
    ).toBe(true);
    expect(stand.op("ready/bleach").text).toMatch(/oxalic acid/);
    expect(stand.op("strip-old").text).toMatch(/no machine and no hot air/);
    expect(stand.has("flat-old")).toBe(false);
  });
  test("what is bleached dries a day or two before anything is laid near it", () => {
    const waits = stand.op("dry-run/lifted").after.find(({ op }) => op.includes("bleach"));
    expect(waits?.min_range).toEqual([1440, 2880]);
  });
  test("nothing is pared where nothing swelled, and no edge is glued that is cut out", () => {
    expect(stand.has("ready/pare")).toBe(false);
    expect(stand.all("cut-core").map(({ damages }) => damages)).toEqual([["lifted"]]);
    expect(stand.has("lay-edges")).toBe(false);
  });
  test("both sheets are let in with one glue, and no finer than P180 touches the face before stain", () => {
    expect(new Set(["lifted", "sanded"].map((id) => stand.taken(`${id}/bed/adhesive`))).size).toBe(1);
    expect(Math.max(...stand.operations.flatMap(({ station, grade }) => (grade && station !== "colour" ? [grade.grade] : [])))).toBe(180);
  });
});

describe("19, orchestrion top", () => {
  const top = job(19);
  test("shellac is filled with shellac, neither water nor alcohol comes near, and it is levelled from P1000", () => {
    expect(top.taken("scratches/scratch/filler")).toBe("shellac-drop");
    expect(top.op("clean").text).toMatch(/no water, no alcohol/);
    expect(top.all("level/grit").map(({ text }) => text)).toEqual([
      "Sand with P1000, with white spirit, a hard block",
      "Sand with P1500, with white spirit, a hard block",
    ]);
    expect(top.words).not.toMatch(/\bdent\b/);
  });
  test("spray and cut is a way beside it: some twelve cycles, and a mask that comes off before the film is polished", () => {
    const input = jobInput(19);
    const sprayed = jobOf({ ...input, damages: input.damages.map((damage) => ({ ...damage, way: "spray-cut" })) });
    expect(sprayed.all("colour/spray").length).toBeGreaterThanOrEqual(12);
    expect(sprayed.inOrder("unmask-sprayed", "flat-P1500")).toBe(true);
  });
});

describe("20, hurdy-gurdy neck", () => {
  const neck = job(20);
  test("glued and cured, then routed: own depth and own jig, 27.5 mm out of the base", () => {
    expect(
      neck.inOrder("strings-off", "bond-1", "unclamp-1", "join/slot", "set-brace", "flush-brace", "colour/seal-1", "tune-up", "sign"),
    ).toBe(true);
    expect(neck.op("join/slot").text).toMatch(/8 mm wide, 16\.5 mm deep.*bit 27\.5 mm out of the base \(slot \+ 11 mm jig\)/);
  });
  test("where wood is laid bare colour follows, and the pull comes back over days when the glue is through", () => {
    expect(neck.all("colour/clear").length).toBeGreaterThan(0);
    expect(neck.op("photograph-after").after.find(({ op }) => op.includes("tune-up"))?.min_range).toEqual([2880, 5760]);
  });
  test("a slot of one’s own that would cut through is no slot", () => {
    const input = jobInput(20);
    const [damage] = input.damages;
    const through = jobOf({ ...input, damages: [{ ...damage, brace: { kind: "spline", size: { depth_mm: 22 } } }] } as typeof input);
    expect(through.has("join/slot")).toBe(false);
  });
});

describe("21, organ case panel", () => {
  const panel = job(21);
  test("two axes: 0.53 cm³; its rim is cut level first; papers of P180 stay inside what is deeper than the film", () => {
    expect(panel.place("ding/loss").volume_cm3).toBeCloseTo(0.538, 2);
    expect(panel.inOrder("cut-rim", "fill/mix-1/epoxy-wood-putty")).toBe(true);
    expect(panel.op("cut-rim").text).toMatch(/0\.4 mm/);
    expect(panel.words).not.toMatch(/steam|iron/);
  });
  test("black is met by opaque black, nine wipes over it minutes apart, then level and gloss", () => {
    expect(panel.all("colour/under")).toHaveLength(2);
    const wipes = panel.all("colour/clear");
    expect(wipes).toHaveLength(9);
    expect(wipes[1]?.after.find(({ op }) => op === wipes[0]?.id)?.min_min).toBeLessThan(10);
    expect(panel.inOrder("colour/clear-9", "flat-P1200", "gloss-compound")).toBe(true);
  });
  test("the small one, inside the film, takes the film’s own kind", () => expect(panel.taken("small/dent/filler")).toBe("polyester-drop"));
});

describe("22, raffle urn", () => {
  const urn = job(22);
  test("faces of 22.8 cm², 0.3 to 0.4 g; eight chips of 47 mm³ in one mix, after the joins hold", () => {
    expect((urn.place("break/joins").area_mm2 ?? 0) / 100).toBeCloseTo(22.8, 1);
    expect(grams(urn, "join/mix-1")).toBeGreaterThan(0.25);
    expect(grams(urn, "join/mix-1")).toBeLessThan(0.45);
    expect(urn.place("chips/loss").volume_cm3).toBeCloseTo((Math.PI / 4) * 0.06, 6);
    expect(urn.inOrder("unclamp-1/break", "fill/mix-1")).toBe(true);
    expect(urn.operations.some(({ kind }) => kind === "brace" || kind === "drill")).toBe(false);
  });
  test("papers stay inside the mask, a cloth goes over the glaze", () => {
    const papers = urn.all("level/grit-P");
    expect(papers.every(({ text }) => text.includes("never touches the glaze"))).toBe(true);
    expect(urn.all("level/grit-cloth").map(({ grade }) => grade?.system)).toEqual(["cushioned"]);
  });
  test("a low spot of one chip is a round for its opening times 0.3: one push, no dam", () => {
    const later = jobOf({
      ...jobInput(22),
      entries: [
        {
          at: "2026-10-12T09:00:00Z",
          body: { kind: "round-opened", station: "fill", places: ["chips/loss"], because: "low", low_mm: 0.3, count: 1 },
        },
      ],
    });
    const again = later.operations.filter(({ round }) => round === 2);
    expect(again.filter(({ kind }) => kind === "form")).toEqual([]);
    expect(again.filter(({ name }) => name === "mix")).toHaveLength(1);
  });
});

describe("23, griffin’s claw", () => {
  const claw = job(23);
  test("modelled on film, taken off firm, set hard in a little slow epoxy; no core anywhere", () => {
    expect(claw.place("tip/loss").volume_cm3).toBeCloseTo(0.754, 3);
    expect(claw.inOrder("film-under", "fill/mix-1", "take-off", "check-fill", "dry-run", "join/bond-1", "level/grit")).toBe(true);
    expect(claw.words).not.toMatch(/wire|drill/i);
  });
  test("with a core it ends where a millimetre covers it everywhere: Ø 2 some 13 mm up", () => {
    const input = jobInput(23);
    const built = jobOf({ ...input, damages: input.damages.map((damage) => ({ ...damage, way: "build" })) });
    expect(built.op("fit-brace").text).toMatch(/23\.3 mm long, 10 mm of it in the hole/);
  });
});

describe("24, showfront harlequin", () => {
  const figure = job(24);
  test("0.72 l, 15.1 and 140 cm³; all of it dries first, the knee is bandaged behind, the corner anchored", () => {
    expect(["back", "knee", "drum"].map((id) => Math.round(figure.place(`${id}/loss`).volume_cm3 ?? 0))).toEqual([720, 15, 140]);
    expect(figure.all("dry-out").flatMap(({ damages }) => damages)).toEqual(["back", "knee", "drum"]);
    expect(figure.inOrder("lead-test", "dry-out", "join/back/knee", "fill/place-1/knee")).toBe(true);
    expect(figure.op("set-brace/drum").text).toMatch(/stainless screws/);
  });
  test("gypsum outdoors dissolves: what fills it is lime or silicate, floated green and kept damp, not sanded for hours", () => {
    for (const id of ["back", "knee", "drum"]) expect(figure.taken(`${id}/loss/filler`)).toMatch(/lime-mortar|silicate-filler/);
    expect(figure.op("blade/drum").text).toMatch(/float/);
    expect(figure.inOrder("damp-cure/drum", "dry/drum", "level/grit-P220/drum")).toBe(true);
    for (const { hands_min } of figure.all("level/grit")) expect(hands_min[0]).toBeLessThan(60);
  });
});
