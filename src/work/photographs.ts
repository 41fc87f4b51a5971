import { inspectPhotograph, PHOTOGRAPH_MAX_BYTES, sha256 } from "@/formats/photograph";
import { withoutWhereabouts } from "@/formats/whereabouts";
import { Photograph, Treatment } from "@/store/entities";
import { type Em, em as openEm } from "@/store/orm";
import { keepBare, photographBytes, photographToBare } from "@/store/queries";
import { photographSlices } from "@/store/tables";
import { found, once } from "./once";
import { invalid, notFound, tooLarge } from "./problems";

export interface PhotographInput {
  readonly id: string;
  readonly moment: "before" | "during" | "after";
  readonly caption: string;
  readonly bytes: Buffer;
}

/** Keep a photograph with its thumbnail; the same id twice is one photograph. @throws {WorkProblem} 413 or 422 on a wrong file */
export async function addPhotograph(
  treatmentId: string,
  { id, moment, caption, bytes }: PhotographInput,
  now: Date,
): Promise<{ id: string }> {
  if (bytes.length > PHOTOGRAPH_MAX_BYTES) throw tooLarge("The photograph is over 12 MB. Save it smaller, then add it again.");
  const inspection = await inspectPhotograph(bytes);
  if (!inspection.ok) throw invalid([{ path: "/file", message: inspection.message }], inspection.message);
  const here = (tx: Em) => found(tx.findOne(Photograph, { id, treatment: treatmentId }));
  await once(here, async (tx) => {
    const treatment = await tx.findOne(Treatment, { id: treatmentId, deletedAt: null });
    if (!treatment) throw notFound("This treatment");
    tx.create(Photograph, { id, treatment, takenAt: now, moment, caption: caption.slice(0, 300), bare: true, ...inspection.photograph });
  });
  return { id };
}

/** @throws {WorkProblem} 404 when there is no such photograph */
export async function readPhotograph(id: string, thumbnail: boolean): Promise<{ mime: string; bytes: Buffer; sha256: string }> {
  const found = await photographBytes(await openEm(), id, thumbnail);
  if (!found) throw notFound("This photograph");
  return found;
}

/** Take out of photographs that were added earlier what is not needed to show them; one at a time. Answers how many there were. */
export async function bareAll(): Promise<number> {
  const em = await openEm();
  let done = 0;
  for (let id = await photographToBare(em); id !== undefined; id = await photographToBare(em)) {
    const slices: Buffer[] = [];
    for await (const slice of photographSlices(em, id)) slices.push(slice);
    const bare = withoutWhereabouts(Buffer.concat(slices));
    await keepBare(em, id, bare, sha256(bare));
    done += 1;
  }
  return done;
}
