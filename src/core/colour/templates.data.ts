import type { ClassName, CoatName } from "../catalogue";

/** A row of a template: what kind of coat, how many, and what it is laid of where that fits. */
interface TemplateRow {
  readonly as: CoatName;
  readonly coats: number;
  readonly class?: ClassName;
}

/** A way to colour a surface, to be taken and changed. Trade practice. */
export interface CoatTemplate {
  readonly template: string;
  readonly label: string;
  readonly how: string;
  readonly rows: readonly TemplateRow[];
}

const row = (as: CoatName, coats: number, own?: ClassName): TemplateRow => ({ as, coats, ...(own ? { class: own } : {}) });

export const COAT_TEMPLATES: readonly CoatTemplate[] = [
  {
    template: "opaque",
    label: "Opaque, then details",
    how: "A base a shade lighter, one colour coat, details in dots; clear holds it.",
    rows: [row("under", 2), row("colour", 1), row("retouch", 1), row("clear", 1)],
  },
  {
    template: "tints",
    label: "Transparent tints in the film",
    how: "Seal it, mute what is dark, then tint by tint: match the last coat, not the first.",
    rows: [row("seal", 1), row("mute", 1), row("tone", 4), row("clear", 2)],
  },
  {
    template: "stained",
    label: "Stained, locked, highlights wiped",
    how: "Stain the bare stuff, lock it under clear, tone over it and wipe the highlights back to the lock coat.",
    rows: [row("stain", 1), row("lock", 1), row("tone", 1), row("clear", 2)],
  },
  {
    template: "mottled",
    label: "Sponged or mottled",
    how: "An undercolour, then three close tones with sponge or brush end, each dry before the next; clear last.",
    rows: [row("under", 2), row("pattern", 3), row("clear", 2)],
  },
  {
    template: "grained",
    label: "Grained lines",
    how: "The ground locked, lines drawn with a fine brush and softened, a thin tone over all of it.",
    rows: [row("under", 1), row("lock", 1), row("pattern", 1), row("tone", 1), row("clear", 2)],
  },
  {
    template: "leaf",
    label: "Leaf over size, toned",
    how: "Size to tack, leaf, brush off what is loose; burnish through tissue; lock it, tone it down, clear.",
    rows: [row("leaf", 1, "metal-leaf"), row("lock", 1), row("tone", 1, "tinted-resin"), row("clear", 1)],
  },
  {
    template: "bronze",
    label: "Bronze in a clear binder",
    how: "Two thin coats one way, stirred often; toned down, clear before it tarnishes.",
    rows: [row("leaf", 2, "bronze-paint"), row("tone", 1, "tinted-resin"), row("clear", 1)],
  },
];
