import path from "node:path";
import { Migrator } from "@mikro-orm/migrations";
import { defineConfig } from "@mikro-orm/postgresql";
import { Batch, ClimateRow, LogRow, Lot, LotChange, Part, Photograph, Piece, Product, Treatment } from "./entities";

const migrations = path.resolve(process.cwd(), "src/store/migrations");

/** The one database, named by DATABASE_URL; the start command and the tests set it. */
export const config = defineConfig({
  clientUrl: process.env.DATABASE_URL ?? "postgresql://wanderjahr@127.0.0.1:54317/wanderjahr",
  entities: [Piece, Part, Treatment, LogRow, Photograph, ClimateRow, Product, Lot, LotChange, Batch],
  extensions: [Migrator],
  forceUtcTimezone: true,
  pool: { min: 0, max: 10 },
  driverOptions: { connection: { connectionTimeoutMillis: 5000 } },
  migrations: { path: migrations, pathTs: migrations, glob: "!(*.d).{js,ts}", snapshot: false, emit: "ts", silent: true },
});
