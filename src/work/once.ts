import { UniqueConstraintViolationException } from "@mikro-orm/core";
import { type Em, em as openEm } from "@/store/orm";
import { taken } from "./problems";

/**
 * One transaction for something that its sender named by id. `here` tells whether exactly this is on record already: then there is nothing
 * to do, whether it came long ago or at this very moment.
 * @throws {WorkProblem} 409 when the id belongs to something else
 */
export async function once(here: (tx: Em) => Promise<boolean>, work: (tx: Em) => Promise<void>): Promise<void> {
  const em = await openEm();
  try {
    await em.transactional(async (tx) => {
      if (!(await here(tx))) await work(tx);
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintViolationException)) throw error;
    if (!(await here(await openEm()))) throw taken();
  }
}

/** Whether a query found something. */
export const found = async (query: Promise<unknown>): Promise<boolean> => (await query) !== null;
