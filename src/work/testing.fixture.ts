import { MikroORM } from "@mikro-orm/postgresql";
import sharp from "sharp";
import type { EventBody } from "@/core/record/events.schema";
import { matched, surveyed } from "@/core/views/story.fixture";
import { config } from "@/store/config";
import { closeStore, em } from "@/store/orm";
import { appendEntry } from "./log";
import { createPiece } from "./pieces";

/** Migrate once, empty all tables before each test, close at the end. Only ever the scratch database. */
export function scratchDatabase(): void {
  beforeAll(async () => {
    if (!/scratch/.test(process.env.DATABASE_URL ?? "")) throw new Error("store tests need the scratch database: run npm test");
    const orm = await MikroORM.init(config);
    await orm.getMigrator().up();
    await orm.close(true);
  });
  beforeEach(async () => {
    await (await em()).execute("truncate piece, climate_reading, climate_hour, product, batch, shop cascade");
  });
  afterAll(closeStore);
}

export const NOW = new Date("2026-10-07T12:00:00Z");

export const newPiece = (over: object = {}) => ({
  id: crypto.randomUUID(),
  treatment_id: crypto.randomUUID(),
  title: "Lemonade jar",
  reference: "HF-047",
  owner_reference: "Haldenau, stand 4",
  kind: "vessel",
  part: { name: "rim", substrate: "stoneware", finish: "glaze" },
  treatment_title: "rim chip",
  ...over,
});

/** A piece with its treatment, surveyed and matched; answers the treatment's id. */
export async function chosenTreatment(): Promise<string> {
  const { treatment_id } = await createPiece(newPiece(), NOW);
  await write(treatment_id, 0, surveyed());
  await write(treatment_id, 1, matched);
  return treatment_id;
}

export const write = (treatment: string, version: number, body: EventBody, over: object = {}) =>
  appendEntry(treatment, { key: crypto.randomUUID(), version, body, ...over }, NOW);

export const jpeg = (width = 64, height = 48) =>
  sharp({ create: { width, height, channels: 3, background: "#a98f6c" } })
    .jpeg()
    .toBuffer();

/** The problem that a refused call carries. */
export async function problemOf(
  call: Promise<unknown>,
): Promise<{ status: number; detail: string; errors?: readonly { path: string; message: string }[] }> {
  const error = await call.then(
    () => new Error("it was not refused"),
    (thrown: unknown) => thrown,
  );
  if (error instanceof Error && "problem" in error) return error.problem as Awaited<ReturnType<typeof problemOf>>;
  throw error;
}
