import type { Reading } from "@/core/mix/weighing";

/** What a scale tells whoever listens. */
export type ScaleEvent =
  | ({ readonly kind: "reading" } & Reading)
  /** It answers, but not with a weight. */
  | { readonly kind: "trouble"; readonly words: string }
  /** It does not answer any more. */
  | { readonly kind: "lost" };

/** The one interface for a scale at the bench; a simulated one ships, and one on a cable stands beside it. */
export interface Scale {
  readonly name: string;
  /** Begins to tell; the answer ends it. @throws an Error in words where it can't be reached */
  open(tell: (event: ScaleEvent) => void): Promise<() => void>;
  /** What lies on it now counts as nothing. */
  tare(): void;
}
