/**
 * Minutes at a thing and at all that must follow it at once, and at what must follow those.
 * @param then what must follow at once; what would follow itself is counted once
 */
export function chained<T>(minutes: (of: T) => number, then: (of: T) => readonly T[]): (of: T) => number {
  const known = new Map<T, number>();
  const chain = (of: T): number => {
    const found = known.get(of);
    if (found !== undefined) return found;
    known.set(of, minutes(of));
    const all = minutes(of) + then(of).reduce((sum, next) => sum + chain(next), 0);
    known.set(of, all);
    return all;
  };
  return chain;
}
