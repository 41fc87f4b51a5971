import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { Kept, NewKept } from "./queue";

interface Schema extends DBSchema {
  outbox: { key: number; value: NewKept & { id?: number } };
}

/** Where entries are kept until they stand in the record. */
export interface Device {
  readonly all: () => Promise<Kept[]>;
  readonly add: (entry: NewKept) => Promise<Kept>;
  /** Bring what is kept to `queue`. */
  readonly put: (queue: readonly Kept[]) => Promise<void>;
}

/** In the browser's own database: outlives a reload, a closed tab and a crash. */
export function onDisk(name = "wanderjahr"): Device {
  let opened: Promise<IDBPDatabase<Schema>> | undefined;
  const database = () => {
    opened ??= openDB<Schema>(name, 1, {
      upgrade: (fresh) => void fresh.createObjectStore("outbox", { keyPath: "id", autoIncrement: true }),
    });
    return opened;
  };
  return {
    all: async () => (await (await database()).getAll("outbox")) as Kept[],
    add: async (entry) => ({ ...entry, id: await (await database()).add("outbox", entry) }),
    put: async (queue) => {
      const tx = (await database()).transaction("outbox", "readwrite");
      const known = await tx.store.getAllKeys();
      await Promise.all([
        ...known.filter((id) => !queue.some((each) => each.id === id)).map((id) => tx.store.delete(id)),
        ...queue.map((each) => tx.store.put(each)),
        tx.done,
      ]);
    },
  };
}

/** For as long as the page is open: where a browser gives no database. */
export function inMemory(): Device {
  let kept: readonly Kept[] = [];
  let last = 0;
  return {
    all: async () => [...kept],
    add: async (entry) => {
      last += 1;
      const added = { ...entry, id: last };
      kept = [...kept, added];
      return added;
    },
    put: async (queue) => {
      kept = queue;
    },
  };
}

/** `first` while it works, else `second` from then on. */
export function orElse(first: Device, second: Device): Device {
  let device = first;
  const tried = async <T>(work: (on: Device) => Promise<T>): Promise<T> => {
    try {
      return await work(device);
    } catch (error) {
      if (device === second) throw error;
      device = second;
      return work(device);
    }
  };
  return {
    all: () => tried((on) => on.all()),
    add: (entry) => tried((on) => on.add(entry)),
    put: (queue) => tried((on) => on.put(queue)),
  };
}
