import { expect, type Page } from "@playwright/test";
import { Ajv } from "ajv";
import addFormats from "ajv-formats";
import { MATCHED, newTreatment, photograph, SURVEYED, test, workOff, write } from "./support";

interface Operation {
  readonly operationId: string;
  readonly responses: Readonly<Record<string, { readonly content: Readonly<Record<string, { readonly schema: object }>> }>>;
}
type Paths = Readonly<Record<string, Readonly<Record<string, Operation>>>>;

const ajv = new Ajv({ strict: false, allErrors: true });
addFormats.default(ajv);

/** Asks routes by their ids, and holds each answer against what is described; remembers what was asked. */
async function asker(page: Page) {
  const { paths } = (await (await page.request.get("/api/openapi.json")).json()) as { paths: Paths };
  const known = new Map(
    Object.entries(paths).flatMap(([path, methods]) =>
      Object.entries(methods).map(([method, operation]) => [operation.operationId, { path, method, operation }] as const),
    ),
  );
  const asked = new Set<string>();
  const ask = async (id: string, into: Record<string, string> = {}, options: object = {}) => {
    const { path, method, operation } = known.get(id) ?? { path: "", method: "", operation: undefined };
    const url = path.replaceAll(/\{(\w+)\}/g, (_, name: string) => into[name] ?? "");
    const answer = await page.request.fetch(url, { method, ...options });
    const [status = ""] = Object.keys(operation?.responses ?? {});
    expect([id, String(answer.status())]).toEqual([id, status]);
    const type = (answer.headers()["content-type"] ?? "").split(";")[0] ?? "";
    const content = operation?.responses[status]?.content[type];
    expect([id, type, content !== undefined]).toEqual([id, type, true]);
    asked.add(id);
    if (type !== "application/json") return answer.body();
    const value = await answer.json();
    const fits = ajv.compile(content?.schema ?? {});
    expect([id, fits(value) ? [] : fits.errors]).toEqual([id, []]);
    return value;
  };
  return { ask, left: () => [...known.keys()].filter((id) => !asked.has(id) && !paths[`/api/calc/${id}`]) };
}

/** A piece with a chip that is ready to be mixed for. */
async function readyToMix(page: Page): Promise<string> {
  const { treatment } = await newTreatment(page, { title: "Quoits board" });
  await write(page, treatment, 0, SURVEYED);
  await write(page, treatment, 1, MATCHED);
  await workOff(page, treatment, (id) => id.includes("/fill/mix-1"), 10);
  return treatment;
}

test("every route answers as it is described", async ({ page }) => {
  const { ask, left } = await asker(page);
  const id = () => crypto.randomUUID();
  await ask("health");
  await ask("find", {}, { params: { q: "jar" } });
  await ask("objects", {}, { params: { list: "closed" } });
  await ask("objects", {}, { params: { words: "o", order: "act" } });

  const piece = { id: id(), treatment_id: id() };
  const part = { name: "rim", substrate: "stoneware", finish: "glaze" };
  const head = { title: "Tombola drum", reference: `T-${piece.id.slice(0, 6)}`, owner_reference: "", kind: "other" };
  await ask("newPiece", {}, { data: { ...piece, ...head, part, treatment_title: "rim chip" } });
  const log = { id: piece.treatment_id };
  const { parts: known } = (await ask("dossierOut", log)).piece;
  await ask("editPiece", { id: piece.id }, { data: { ...head, version: 1, title: "Tombola drum, green", parts: known } });
  await ask("newTreatment", { id: piece.id }, { data: { id: id(), title: "stain" } });
  const entry = (version: number, body: object) => ({ data: { key: id(), version, body } });
  await ask("writeEntry", log, entry(0, SURVEYED));
  await ask("writeEntry", log, entry(1, { ...SURVEYED, damage: "d2", title: "second chip" }));
  const photographed = { kind: "done", op: "r1/ready/photograph", hands_min: 5 };
  await ask("writeUp", log, { data: { version: 2, entries: [{ key: id(), body: photographed }] } });
  await ask("compareWays", log, { data: { survey: SURVEYED.survey, stance: "service" } });
  await ask("treatApart", log, { data: { to: id(), damage: "d2", version: 2, title: "second chip" } });
  const picture = id();
  const { buffer } = await photograph();
  const moment = { id: picture, moment: "before", caption: "the rim" };
  await ask("addPhotograph", log, { params: moment, data: buffer, headers: { "content-type": "image/jpeg" } });
  await ask("photograph", { id: picture }, { params: { thumbnail: "1" } });
  const dossier = await ask("dossierOut", log);
  await ask("dossierIn", {}, { params: { as: "copy" }, data: dossier });
  const zip = await ask("dossierZipOut", log);
  await ask("dossierZipIn", {}, { params: { as: "copy" }, data: zip, headers: { "content-type": "application/zip" } });
  await ask("practice");

  const [one, two] = [await readyToMix(page), await readyToMix(page)];
  const { treatments } = await ask("mixable", {}, { params: { class: "epoxy-putty" } });
  const mine = treatments.filter(({ treatment }: { treatment: string }) => [one, two].includes(treatment));
  const portions = mine.map(({ treatment, version, shares }: { treatment: string; version: number; shares: { op: string }[] }) => ({
    treatment,
    version,
    op: shares[0]?.op,
    mass_g: 1,
  }));
  const parts = ["A", "B"].map((name) => ({ name, planned_g: 1, actual_g: 1 }));
  const climate = { temp_C: 20, rh_pct: 50 };
  await ask("mixBatch", {}, { data: { id: id(), class: "epoxy-putty", parts, portions, left_g: 0, left_over: "thrown", climate } });

  const [product, lot] = [id(), id()];
  const jar = { label: "Q1", size_g: 100, left_g: 80 };
  const what = { name: `Putty ${product.slice(0, 6)}`, class: "epoxy-putty", figures: {} };
  await ask("newProduct", {}, { data: { id: product, ...what, lot: { id: lot, ...jar } } });
  await ask("editProduct", { id: product }, { data: { version: 1, ...what, figures: { layer_mm: [4, 4] } } });
  await ask("newJar", { id: product }, { data: { id: id(), ...jar, label: "Q2" } });
  await ask("editJar", { id: lot }, { data: { version: 1, ...jar, left_g: 70 } });
  await ask("toBuyOut");
  const csv = await ask("cabinetOut");
  await ask("cabinetIn", {}, { data: csv, headers: { "content-type": "text/csv" } });
  await ask("remove", { kind: "products", id: product });
  await ask("bringBack", { kind: "products", id: product });
  await ask("remove", { kind: "products", id: product });

  await ask("setClimate", {}, { data: { source: "sensor", ...climate } });
  const kept = await ask("shop");
  await ask("editShop", {}, { data: kept });
  expect(left()).toEqual([]);
});

test("what is refused is a problem, as described for every route", async ({ page }) => {
  const { paths } = (await (await page.request.get("/api/openapi.json")).json()) as { paths: Paths };
  for (const [path, methods] of Object.entries(paths))
    for (const method of Object.keys(methods).filter((each) => each !== "get")) {
      if (/practice/.test(path)) continue;
      const url = path.replaceAll("{kind}", "pieces").replaceAll(/\{\w+\}/g, "nonsense");
      const answer = await page.request.fetch(url, { method, data: { sparkle: 1 } });
      expect([url, [404, 422].includes(answer.status())]).toEqual([url, true]);
      const problem = methods[method]?.responses.default?.content["application/problem+json"]?.schema;
      expect([url, ajv.validate(problem ?? false, await answer.json())]).toEqual([url, true]);
    }
});
