import { setTimeout as pause } from "node:timers/promises";
import { MikroORM } from "@mikro-orm/postgresql";
import { config } from "./config";

type Slot = { readonly shape: string; readonly orm: Promise<MikroORM> };
const shared = globalThis as typeof globalThis & { __wanderjahrOrm?: Slot };

/** What tells one configuration from another: pages and routes are bundled apart, and each bundle brings an equal one of its own. */
const shape = JSON.stringify(
  (config.entities ?? [])
    .map((entity) => (entity as { meta?: { name?: string; properties?: object } }).meta ?? {})
    .map(({ name, properties }) => [name, Object.keys(properties ?? {})]),
);

/** One ORM per process, made anew when a hot reload brings another shape of the tables or the first try failed. */
function orm(): Promise<MikroORM> {
  const slot = shared.__wanderjahrOrm;
  if (slot?.shape === shape) return slot.orm;
  if (slot) setTimeout(() => void slot.orm.then((old) => old.close(true)).catch(() => undefined), 5_000);
  const fresh: Slot = { shape, orm: MikroORM.init(config) };
  shared.__wanderjahrOrm = fresh;
  fresh.orm.catch(() => {
    if (shared.__wanderjahrOrm === fresh) shared.__wanderjahrOrm = undefined;
  });
  return fresh.orm;
}

/** An entity manager of its own for each request; a transaction that the database gave up for another's sake is tried again. */
export const em = async () => {
  const fork = (await orm()).em.fork();
  const once = fork.transactional.bind(fork);
  fork.transactional = (work, options) => again(() => once(work, options));
  return fork;
};

/** Deadlock, and a change that another made first: PostgreSQL, appendix A. */
const GIVEN_UP = /^(40P01|40001)$/;
const TRIES = 4;

async function again<T>(work: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await work();
    } catch (error) {
      if (tries === TRIES || !GIVEN_UP.test(String((error as { code?: unknown }).code))) throw error;
      // those that waited for one another do not meet again at the same moment
      await pause(20 * tries * (1 + Math.random()));
    }
  }
}

export type Em = Awaited<ReturnType<typeof em>>;

/** For scripts and tests, which end. */
export async function closeStore(): Promise<void> {
  const slot = shared.__wanderjahrOrm;
  shared.__wanderjahrOrm = undefined;
  if (slot) await (await slot.orm).close(true);
}
