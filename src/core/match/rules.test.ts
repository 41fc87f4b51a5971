import { factsOf, type Shelf } from "./case";
import { pairs } from "./coverage";
import { MET } from "./coverage.data";
import { judgeRole } from "./judge";
import { matching } from "./match";
import type { MatchInput } from "./match.schema";
import { rolesFor } from "./roles";
import { RULES } from "./rules";
import { jars } from "./shelf.fixture";

const ALL_ASKED: MatchInput["service"] = {
  outdoor: true,
  load: true,
  wet: true,
  food: true,
  touched: true,
  skin: true,
  heat_C: 70,
  sprung: true,
};
const SERVICES: ReadonlyArray<MatchInput["service"]> = [{}, { flex: true, acoustic: true }, ALL_ASKED];

const ask = (over: Partial<MatchInput>): MatchInput => ({
  substrate: "hardwood",
  finish: "none",
  damage: { kind: "shards", gap_mm: 0.1 },
  service: {},
  stance: "service",
  ...over,
});

/** Rules that fire for a question, whatever the material. */
function firedBy(input: MatchInput, shelf?: Shelf): string[] {
  const facts = factsOf(input, shelf);
  return rolesFor(facts).flatMap((role) => judgeRole(facts, role).flatMap(({ fired }) => fired.map(({ id }) => id)));
}

const CRACK = { kind: "crack", gap_mm: 0.05, depth_mm: 4 } as const;
const CHIP = { kind: "chip", depth_mm: 5 } as const;

/** Rules that look at what was found, measured, read off the thermometer or stands in the cabinet, and a piece that sets each off. */
const SET_OFF: ReadonlyArray<readonly [rule: string, over: Partial<MatchInput>]> = [
  ["bond-powders", { substrate: "gypsum", damage: CHIP, found: { powders: true } }],
  ["bond-hollow", { damage: CHIP, found: { hollow: true } }],
  ["bond-lifted", { damage: CHIP, found: { lifted: true } }],
  ["bond-greasy", { substrate: "brass", damage: CHIP, found: { greasy: true } }],
  ["bond-damp", { damage: CHIP, found: { damp: true } }],
  ["bond-damp-water", { damage: CHIP, found: { damp: true } }],
  ["bond-damp-sets", { damage: { kind: "break-along", gap_mm: 0.1 }, found: { damp: true } }],
  ["bond-old-glue", { damage: { kind: "loose-joint", gap_mm: 0.1 }, earlier_glue: "epoxy" }],
  ["bond-own-kind", { damage: { kind: "loose-joint", gap_mm: 0.1 }, earlier_glue: "animal" }],
  ["bond-rocks", { damage: { kind: "loose-joint", gap_mm: 0.1 }, found: { rocks: true } }],
  ["gap-too-thick-joint", { damage: CRACK }],
  ["gap-proud-core", { substrate: "veneer-particleboard", damage: { kind: "veneer-lifted", gap_mm: 0.1, swelling_mm: 1.5 } }],
  ["time-too-short", { damage: { kind: "loose-joint", gap_mm: 0.1 }, working_min: 40 }],
  ["time-tight", { damage: { kind: "loose-joint", gap_mm: 0.1 }, working_min: 40 }],
  ["time-cold", { damage: { kind: "loose-joint", gap_mm: 0.1 }, climate_C: 4 }],
  ["time-cold-slow", { damage: { kind: "loose-joint", gap_mm: 0.1 }, climate_C: 11 }],
  ["time-warm", { substrate: "stoneware", finish: "glaze", damage: { kind: "shards", gap_mm: 0.1 }, climate_C: 30 }],
  ["time-chills", { damage: { kind: "loose-joint", gap_mm: 0.1 }, climate_C: 15 }],
  ["time-many-shards", { substrate: "stoneware", finish: "glaze", damage: { kind: "shards", gap_mm: 0.1, shards: 9 } }],
  ["level-found-gives", { damage: CHIP, found: { moves: true } }],
  ["level-joint-gives", { damage: { kind: "break-along", gap_mm: 0.1 }, found: { moves: true } }],
  ["strength-no-wall", { damage: { kind: "break-across", gap_mm: 0.1, width_mm: 3, height_mm: 3 } }],
  ["strength-thin-wall", { damage: { kind: "break-across", gap_mm: 0.1, width_mm: 6, height_mm: 6 } }],
  ["strength-tension", { substrate: "leather", damage: { kind: "tear", gap_mm: 0.1, tension: true } }],
  ["service-hygroscopic", { damage: { kind: "loose-joint", gap_mm: 0.1 }, found: { damp: true } }],
  ["service-cause", { substrate: "stone", damage: { kind: "eroded", depth_mm: 5, cause_present: true } }],
  ["survives-spot", { finish: "shellac", damage: CHIP, finish_survives: true }],
  ["survives-fill", { finish: "shellac", damage: CHIP, finish_survives: true }],
  ["layered-unknown", { finish: "paint", damage: CHIP, found: { layered: true } }],
  ["shelf-none", { damage: CHIP, stock_only: true }],
  ["shelf-buy", { damage: CHIP }],
  ["shelf-gone-off", { damage: CHIP }],
  ["shelf-goes-off", { damage: CHIP }],
  ["shelf-empty", { damage: CHIP }],
  ["shelf-short", { damage: CHIP }],
  ["shelf-enough", { damage: CHIP }],
];
const CABINET: Shelf = {
  jars: jars(300).map((jar, i) => (i % 7 === 0 ? { ...jar, left_g: 0 } : jar)),
  need_cm3: { filler: 40, colour: 20 },
};

describe("a rule that looks at what was found sets off where it is found, and not without", () => {
  test.each(SET_OFF)("%s", (rule, over) => {
    expect(firedBy(ask(over), rule.startsWith("shelf") ? CABINET : undefined)).toContain(rule);
    expect(firedBy(ask({ damage: { kind: "chip", depth_mm: 5 } }))).not.toContain(rule);
  });
});

test("no rule is dead: each fires on some ordinary piece or in the table above", () => {
  const fired = new Set(SET_OFF.map(([rule]) => rule));
  pairs().forEach(({ on, finish, kind }, i) => {
    const service = SERVICES[i % SERVICES.length] ?? {};
    const input = ask({
      substrate: on.substrate,
      finish,
      damage: { kind, ...MET[kind].measures },
      service,
      stance: i % 2 === 0 ? "service" : "reversible",
    });
    for (const judged of matching(input).byRole.values()) for (const each of judged) for (const { id } of each.fired) fired.add(id);
  });
  expect(RULES.filter(({ id }) => !fired.has(id)).map(({ id }) => id)).toEqual([]);
});

describe("every rule", () => {
  test("has a name of its own, a source and a short word for the margin", () => {
    expect(new Set(RULES.map(({ id }) => id)).size).toBe(RULES.length);
    for (const { source } of RULES) expect(source.length).toBeGreaterThan(4);
  });

  test("speaks in whole sentences", () => {
    const said = RULES.flatMap(({ id, says }) => (typeof says === "string" && !/[.!)]$/.test(says) ? [id] : []));
    expect(said).toEqual([]);
  });

  test("that harms people refuses, and is not offered to be overridden", () => {
    const hazards = RULES.filter(({ hazard }) => hazard === true);
    expect(hazards.length).toBeGreaterThan(0);
    for (const { effect } of hazards) expect(effect).toBe("refuse");
  });
});
