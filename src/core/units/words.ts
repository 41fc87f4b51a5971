/** A name inside a sentence: "Slow epoxy" becomes "slow epoxy"; "PVA wood glue" keeps its capitals. */
export function inSentence(name: string): string {
  return /^\p{Lu}\p{Lu}/u.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
}
