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

/** An entity manager of its own for each request. */
export const em = async () => (await orm()).em.fork();

export type Em = Awaited<ReturnType<typeof em>>;

/** For scripts and tests, which end. */
export async function closeStore(): Promise<void> {
  const slot = shared.__wanderjahrOrm;
  shared.__wanderjahrOrm = undefined;
  if (slot) await (await slot.orm).close(true);
}
