/** The places of the top bar, each with its key after G. One more place is one more row. */
export const DESTINATIONS = [
  { href: "/", label: "Bench", key: "b" },
  { href: "/objects", label: "Objects", key: "o" },
  { href: "/plan", label: "Plan", key: "p" },
  { href: "/cabinet", label: "Cabinet", key: "c" },
  { href: "/shop", label: "Shop", key: "h" },
] as const;
