import { check } from "@/core/problem";
import type { ZipReader } from "@/formats/zip";
import { invalid } from "./problems";

/** What went out, or came in. */
export interface Archived {
  readonly treatments: number;
  readonly photographs: number;
  /** Here already, and left as they are. */
  readonly known: number;
  /** What could not come in, or go out, and why. */
  readonly left_out: ReadonlyArray<{ readonly what: string; readonly because: string }>;
}

/** Text of one entry of the archive that is held at once at most, bytes. */
export const TEXT_MAX_BYTES = 64 * 1024 * 1024;

/** A JSON entry of an archive. @throws {WorkProblem} 422 where it is missing or damaged */
export async function json<T>(zip: ZipReader, name: string, schema?: Parameters<typeof check>[0]): Promise<T> {
  const bytes = await zip.bytes(name, TEXT_MAX_BYTES);
  if (!bytes) throw invalid([{ path: `/${name}`, message: "is missing" }], `The archive has no ${name}.`);
  let value: unknown;
  try {
    value = JSON.parse(bytes.toString("utf8"));
  } catch {
    throw invalid([{ path: `/${name}`, message: "is not JSON" }], `The archive’s ${name} is damaged.`);
  }
  const errors = schema ? check(schema, value) : [];
  if (errors.length > 0) throw invalid(errors, `The archive’s ${name} is damaged, or of another version.`);
  return value as T;
}
