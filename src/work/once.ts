import { UniqueConstraintViolationException } from "@mikro-orm/core";
import { type Em, em as openEm } from "@/store/orm";

/**
 * One transaction for something that its sender named by id: when the same is sent twice at the same moment, the second
 * one meets the first one's id and has nothing left to do.
 */
export async function once(work: (tx: Em) => Promise<void>): Promise<void> {
  const em = await openEm();
  try {
    await em.transactional(work);
  } catch (error) {
    if (!(error instanceof UniqueConstraintViolationException)) throw error;
  }
}
