import { type DBSchema, type IDBPDatabase, openDB } from "idb";
import type { Kept, NewKept } from "./queue";

interface Schema extends DBSchema {
  outbox: { key: number; value: NewKept & { id?: number } };
}

/** What is stored, in its order. */
export type Stored = readonly Kept[];

/** Where entries are kept until they stand in the record. Windows share it: each change is made of what is stored at that moment. */
export interface Device {
  readonly all: () => Promise<Stored>;
  readonly add: (made: (stored: Stored) => NewKept) => Promise<Kept>;
  /** Write the rows in which `edit` differs from what is stored, all or none; answers what is stored then. */
  readonly change: (edit: (stored: Stored) => Stored) => Promise<Stored>;
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
  const transaction = async () => (await database()).transaction("outbox", "readwrite");
  return {
    all: async () => (await (await database()).getAll("outbox")) as Kept[],
    add: async (made) => {
      const tx = await transaction();
      const entry = made((await tx.store.getAll()) as Kept[]);
      const id = await tx.store.add(entry);
      await tx.done;
      return { ...entry, id };
    },
    change: async (edit) => {
      const tx = await transaction();
      const stored = (await tx.store.getAll()) as Kept[];
      const { next, gone, written } = difference(stored, edit(stored));
      await Promise.all([...gone.map(({ id }) => tx.store.delete(id)), ...written.map((each) => tx.store.put(each)), tx.done]);
      return next;
    },
  };
}

/** What an edit took away and what it wrote; a row that it passed on as it was is neither. */
function difference(stored: Stored, next: Stored) {
  const [ids, same] = [new Set(next.map(({ id }) => id)), new Set(stored)];
  return { next, gone: stored.filter(({ id }) => !ids.has(id)), written: next.filter((each) => !same.has(each)) };
}

/** For as long as the page is open: where a browser gives no database. */
export function inMemory(): Device {
  let kept: Stored = [];
  let last = 0;
  return {
    all: async () => [...kept],
    add: async (made) => {
      last += 1;
      const added = { ...made(kept), id: last };
      kept = [...kept, added];
      return added;
    },
    change: async (edit) => {
      kept = edit(kept);
      return kept;
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
    add: (made) => tried((on) => on.add(made)),
    change: (edit) => tried((on) => on.change(edit)),
  };
}
