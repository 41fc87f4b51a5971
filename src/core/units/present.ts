type Optional<T> = { [K in keyof T]: undefined extends T[K] ? K : never }[keyof T];

/** An object's own figures without those that are undefined. */
export type Present<T> = { [K in Exclude<keyof T, Optional<T>>]: T[K] } & { [K in Optional<T>]?: Exclude<T[K], undefined> };

/**
 * The object without what is undefined: an absent figure has no name at all.
 * @example present({ from: 3, until: undefined }) // => { from: 3 }
 */
export function present<T extends object>(all: T): Present<T> {
  return Object.fromEntries(Object.entries(all).filter(([, value]) => value !== undefined)) as Present<T>;
}
