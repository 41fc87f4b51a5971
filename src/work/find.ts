import { em as openEm } from "@/store/orm";
import { findHits, type Hit } from "@/store/queries";

const MOST_HITS = 12;

/** Pieces and treatments for find-or-jump; nothing for an empty question. */
export async function find(words: string): Promise<readonly Hit[]> {
  const asked = words.trim().slice(0, 200);
  return asked === "" ? [] : findHits(await openEm(), asked, MOST_HITS);
}
