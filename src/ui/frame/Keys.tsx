"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { DESTINATIONS } from "./destinations";
import { useShortcut } from "./keys";
import { lazily } from "./lazily";

const KeysDialog = lazily(() => import("./KeysDialog").then((module) => module.KeysDialog));

/** The keys that work on every page, and the list of them behind `?`. */
export function Keys() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  useShortcut("?", () => setOpen(true));
  useShortcut("s", () =>
    shelfLinks()
      .find((link) => link.offsetParent !== null)
      ?.focus(),
  );
  return (
    <>
      {DESTINATIONS.map(({ key, href }) => (
        <Jump key={key} keys={`g ${key}`} act={() => router.push(href)} />
      ))}
      {open && <KeysDialog close={() => setOpen(false)} />}
    </>
  );
}

/** Of the Shelf as plates and the Shelf as a line one is in sight. */
const shelfLinks = () => [...document.querySelectorAll<HTMLElement>(".shelf a, .shelf-line a")];

function Jump({ keys, act }: { keys: string; act: () => void }) {
  useShortcut(keys, act);
  return null;
}
