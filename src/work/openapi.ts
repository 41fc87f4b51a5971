import { type TSchema, Type } from "@sinclair/typebox";
import { calcPaths, json, PROBLEM_ANSWER } from "@/core/openapi";
import { oneOf } from "@/core/units/schema";
import { Dossier } from "@/formats/dossier.schema";
import * as Answer from "./answers.schema";
import * as Input from "./inputs.schema";
import { ListInput } from "./lists";

type Method = "get" | "post" | "put" | "delete";

/** A route: what goes in, what comes out. Its path holds its parameters in braces. */
interface RouteRow {
  readonly id: string;
  readonly path: string;
  readonly method: Method;
  readonly summary: string;
  /** Fields of the query; an object schema. */
  readonly query?: TSchema;
  /** The body as JSON, or as a file of these types. */
  readonly body?: TSchema | readonly string[];
  readonly status?: 201;
  /** The answer as JSON, or as a file of these types. */
  readonly answer: TSchema | readonly string[];
}

const IMAGES = ["image/jpeg", "image/png", "image/webp"] as const;
const flag = () => Type.Optional(Type.String({ description: "present = yes" }));

const made = (id: string, path: string, summary: string, body: TSchema, answer: TSchema = Answer.Made): RouteRow => ({
  id,
  path,
  method: "post",
  summary,
  body,
  status: 201,
  answer,
});
const changed = (id: string, path: string, summary: string, body: TSchema): RouteRow => ({
  id,
  path,
  method: "put",
  summary,
  body,
  answer: Answer.Changed,
});

/** Every route but the calculations. */
export const ROUTES: readonly RouteRow[] = [
  { id: "health", path: "/api/health", method: "get", summary: "Answers when the record can be reached", answer: Answer.Here },
  {
    id: "find",
    path: "/api/find",
    method: "get",
    summary: "Pieces, treatments and products that hold the words or come near them",
    query: Type.Object({ q: Type.String({ maxLength: 200 }) }),
    answer: Answer.Hits,
  },
  {
    id: "objects",
    path: "/api/objects",
    method: "get",
    summary: "A page of the treatments, with where each stands",
    query: ListInput,
    answer: Answer.ListAnswer,
  },
  made("newPiece", "/api/pieces", "Enter a piece with its first part and treatment", Input.NewPiece, Answer.MadePiece),
  changed("editPiece", "/api/pieces/{id}", "Correct what is known of a piece", Input.PieceEdit),
  made("newTreatment", "/api/pieces/{id}/treatments", "Begin another treatment of a piece", Input.NewTreatment),
  made("writeEntry", "/api/treatments/{id}/log", "Write an entry in the log of a treatment", Input.NewEntry, Answer.Written),
  made(
    "writeUp",
    "/api/treatments/{id}/written-up",
    "Write up several entries at their own times, in one go",
    Input.WriteUp,
    Answer.WrittenUp,
  ),
  made("treatApart", "/api/treatments/{id}/apart", "Treat a damage apart from the others", Input.NewApart),
  {
    id: "compareWays",
    path: "/api/treatments/{id}/ways",
    method: "post",
    summary: "The ways to meet a damage, side by side",
    body: Input.WaysQuestion,
    answer: Answer.WaysAnswer,
  },
  {
    id: "dossierZipOut",
    path: "/api/treatments/{id}/dossier.zip",
    method: "get",
    summary: "The treatment with its whole log, its photographs as files beside it",
    answer: ["application/zip"],
  },
  {
    id: "dossierZipIn",
    path: "/api/dossiers/zip",
    method: "post",
    summary: "Bring a treatment in from the zip of its dossier",
    query: Type.Object({ as: Type.Optional(oneOf(["copy"] as const)) }),
    body: ["application/zip"],
    status: 201,
    answer: Answer.CameIn,
  },
  {
    id: "dossierOut",
    path: "/api/treatments/{id}/dossier",
    method: "get",
    summary: "A treatment with its piece, log and photographs as one file",
    answer: Dossier,
  },
  {
    id: "addPhotograph",
    path: "/api/treatments/{id}/photographs",
    method: "post",
    summary: "Add a photograph; the body is the file",
    query: Input.PhotographQuery,
    body: IMAGES,
    status: 201,
    answer: Answer.Made,
  },
  {
    id: "photograph",
    path: "/api/photographs/{id}",
    method: "get",
    summary: "A photograph as it was added, without its place, or a small JPEG of it",
    query: Type.Object({ thumbnail: flag() }),
    answer: IMAGES,
  },
  {
    ...made("dossierIn", "/api/dossiers", "Bring a treatment in from its dossier", Dossier, Answer.CameIn),
    query: Type.Object({ as: Type.Optional(oneOf(["copy"])) }),
  },
  {
    id: "practice",
    path: "/api/practice",
    method: "post",
    summary: "A practice piece, fresh each time",
    status: 201,
    answer: Answer.CameIn,
  },
  {
    id: "mixable",
    path: "/api/batches",
    method: "get",
    summary: "What could be mixed of a class in one go now",
    query: Type.Object({ class: Type.String() }),
    answer: Answer.Takers,
  },
  made("mixBatch", "/api/batches", "One mix for several operations", Input.NewBatch),
  made("newProduct", "/api/cabinet/products", "Put a product with its first jar in the cabinet", Input.NewProduct),
  changed("editProduct", "/api/cabinet/products/{id}", "Correct what is known of a product", Input.ProductEdit),
  made("newJar", "/api/cabinet/products/{id}/lots", "Put another jar of a product in", Input.NewLot),
  changed("editJar", "/api/cabinet/lots/{id}", "Weigh a jar, or correct its dates", Input.LotEdit),
  { id: "cabinetOut", path: "/api/cabinet/csv", method: "get", summary: "The whole cabinet as CSV", answer: ["text/csv"] },
  {
    id: "cabinetIn",
    path: "/api/cabinet/csv",
    method: "post",
    summary: "Take a cabinet in from CSV: all of it or nothing, or without the lines that are wrong",
    query: Type.Object({ skip_bad: flag() }),
    body: ["text/csv"],
    answer: Answer.CabinetIn,
  },
  {
    id: "toBuyOut",
    path: "/api/plan/to-buy",
    method: "get",
    summary: "What the open plans take and the cabinet lacks, as CSV",
    answer: ["text/csv"],
  },
  made("setClimate", "/api/climate", "Set the air by hand, or give it back to the sensor", Input.ClimateInput, Answer.Nothing),
  { id: "shop", path: "/api/shop", method: "get", summary: "What holds for the whole shop", answer: Answer.ShopAnswer },
  changed("editShop", "/api/shop", "Change what holds for the whole shop", Input.ShopEdit),
  {
    id: "remove",
    path: "/api/removed/{kind}/{id}",
    method: "put",
    summary: "Take a thing away; it can be brought back",
    answer: Answer.Nothing,
  },
  {
    id: "bringBack",
    path: "/api/removed/{kind}/{id}",
    method: "delete",
    summary: "Bring back what was taken away",
    answer: Answer.Nothing,
  },
];

const isFiles = (of: TSchema | readonly string[]): of is readonly string[] => Array.isArray(of);
const contentOf = (of: TSchema | readonly string[]) =>
  isFiles(of) ? { content: Object.fromEntries(of.map((type) => [type, { schema: { type: "string", format: "binary" } }])) } : json(of);

function operationOf({ id, path, summary, query, body, status, answer }: RouteRow): object {
  const inPath = [...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => ({ name, in: "path", required: true, schema: { type: "string" } }));
  const inQuery = Object.entries((query?.properties ?? {}) as Record<string, TSchema>).map(([name, schema]) => ({
    name,
    in: "query",
    required: (query?.required as readonly string[] | undefined)?.includes(name) ?? false,
    schema,
  }));
  return {
    operationId: id,
    summary,
    ...(inPath.length + inQuery.length > 0 ? { parameters: [...inPath, ...inQuery] } : {}),
    ...(body ? { requestBody: { required: true, ...contentOf(body) } } : {}),
    responses: { [status ?? 200]: { description: "As asked", ...contentOf(answer) }, default: PROBLEM_ANSWER },
  };
}

/** OpenAPI 3.1 of every route, from the very schemas that check what comes in and what the tests hold the answers against. */
export function openApi(): object {
  const paths: Record<string, Record<string, object>> = calcPaths();
  for (const route of ROUTES) paths[route.path] = { ...paths[route.path], [route.method]: operationOf(route) };
  return {
    openapi: "3.1.0",
    info: {
      title: "Wanderjahr",
      version: "1",
      description: "Units: mm, mm², cm³, g, g/cm³, °C, minutes, % RH, µm. Times ISO 8601 with offset, or ms since the epoch in briefs.",
    },
    paths,
  };
}
