import { CHIP, pieceOf, takes, waits } from "./pieces.fixture";

describe("celluloid", () => {
  const plan = pieceOf("celluloid", "none", CHIP);

  test("is wiped without alcohol or ketone, tried first, and every dust and solvent step says that it burns", () => {
    expect(plan.op("clean").text).toMatch(/no alcohol, no ketone/);
    expect(plan.op("test-spot").why).toBe("Solvent may craze celluloid.");
    for (const grit of plan.all("grit")) expect(grit.cautions).toContain("celluloid");
    expect(plan.op("clean").cautions).toContain("celluloid");
  });

  test("a bare dense face is sanded to P1500 and compounded, medium before fine", () => {
    expect(plan.all("grit").at(-1)?.text).toMatch(/P1500/);
    expect(plan.inOrder("grit-P1500", "compound-medium", "compound-fine")).toBe(true);
  });
});

test("a porous bare body stops at P240: finer closes its pores, and no compound goes into them", () => {
  const plan = pieceOf("terracotta", "none", CHIP);
  expect(plan.all("grit").at(-1)?.text).toMatch(/P240/);
  expect(plan.has("compound")).toBe(false);
});

describe("a cracked china dish in the reversible stance", () => {
  const plan = pieceOf(
    "bone-china",
    "glaze",
    { kind: "crack", length_mm: 60, width_mm: 0.05, depth_mm: 2.5, closes: true },
    { stance: "reversible" },
  );

  test("takes a resin that comes out again, drawn shut with tape, never a clamp or a drill", () => {
    expect(takes(plan, "adhesive")).toBe("acrylic-resin-solvent");
    expect(plan.op("clamp-1").text).toMatch(/stretched tape/);
    expect(plan.op("unclamp-1").text).toBe("Take the tapes off");
    expect(plan.has("drill")).toBe(false);
  });

  test("its edge is taped against smears: nothing is sanded there", () => {
    expect(plan.has("grit")).toBe(false);
    expect(plan.op("mask").why).toBe("Smears beside it cost an hour.");
  });
});

describe("a hole through goatskin", () => {
  const hole = { kind: "hole", diameter_mm: 20, depth_mm: 1.2, through: true } as const;
  const plan = pieceOf("leather", "dye", hole, { service: { flex: true, touched: true } });

  test("is backed before it is filled, and coloured with leather colour", () => {
    expect(plan.inOrder("patch", "place-1", "colour")).toBe(true);
    expect(takes(plan, "filler")).toBe("flexible-compound");
    expect(takes(plan, "colour")).toBe("leather-colour");
  });

  test("nothing is sanded; the grain is embossed before it skins", () => {
    expect(plan.has("grit")).toBe(false);
    expect(plan.op("texture").text).toMatch(/before it skins/);
  });

  test("the film lies around it without tape, and is off before the whole panel is dressed", () => {
    expect(plan.op("mask").text).toMatch(/no tape on dyed leather/);
    expect(plan.inOrder("unmask", "dress", "photograph-after")).toBe(true);
  });

  test("old skin may hold poison: whoever wipes it is told", () => {
    expect(plan.op("clean").cautions).toContain("residues");
  });
});

test("a big cup of reacting resin says that it heats itself; a small one does not", () => {
  const big = pieceOf("stone", "paint", { kind: "chip", length_mm: 120, depth_mm: 40, thickness_mm: 60 });
  const hot = big.all("/mix").filter(({ cautions }) => cautions.includes("cup-heat"));
  expect(takes(big, "filler")).toBe("epoxy-putty");
  expect(hot.length).toBeGreaterThan(0);
  const small = pieceOf("stone", "paint", CHIP);
  expect(small.all("/mix").some(({ cautions }) => cautions.includes("cup-heat"))).toBe(false);
});

test("a screw in the core of a lost tip cuts its own thread and is glued; nothing slides by hand", () => {
  const plan = pieceOf("hardwood", "paint", { kind: "tip", base_mm: 24, length_mm: 30, shape: "blunt" });
  expect(takes(plan, "brace")).toBe("anchor-screw");
  expect(plan.op("drill").text).toMatch(/cuts its own thread/);
  expect(plan.op("fit-brace").done_when).toMatch(/bites/);
  expect(plan.inOrder("drill", "fit-brace", "set-brace", "mix-1")).toBe(true);
});

test("water-borne work waits longer in damp air, resin does not", () => {
  const wood = (rh_pct: number) => pieceOf("hardwood", "oil", { kind: "chip", length_mm: 20, depth_mm: 3, thickness_mm: 6 }, { rh_pct });
  expect(takes(wood(50), "filler")).toBe("wood-filler-water");
  expect(waits(wood(80))).toBeGreaterThan(waits(wood(50)));
  const ware = (rh_pct: number) => pieceOf("stoneware", "none", CHIP, { rh_pct });
  expect(waits(ware(80))).toBeCloseTo(waits(ware(50)), 6);
});

test("soft metal may hold lead: the test stands before whatever makes dust", () => {
  const plan = pieceOf("soft-metal", "none", CHIP);
  expect(plan.inOrder("lead-test", "key", "grit")).toBe(true);
});
