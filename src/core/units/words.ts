/** A name inside a sentence: "Slow epoxy" becomes "slow epoxy"; "PVA wood glue" keeps its capitals. */
export function inSentence(name: string): string {
  return /^\p{Lu}\p{Lu}/u.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
}

/**
 * A number of things, in the right number.
 * @example counted(1, "step") // => "1 step"
 * @example counted(3, "pass", "passes") // => "3 passes"
 */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}
