"use client";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { DESTINATIONS } from "./destinations";
import { useShortcut } from "./keys";

const KeysDialog = dynamic(() => import("./KeysDialog").then((module) => module.KeysDialog));

/** The keys that work on every page, and the list of them behind `?`. */
export function Keys() {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  useShortcut("?", () => setOpen(true));
  useShortcut("s", () => document.querySelector<HTMLElement>(".shelf a, .shelf-line")?.focus());
  return (
    <>
      {DESTINATIONS.map(({ key, href }) => (
        <Jump key={key} keys={`g ${key}`} act={() => router.push(href)} />
      ))}
      {open && <KeysDialog close={() => setOpen(false)} />}
    </>
  );
}

function Jump({ keys, act }: { keys: string; act: () => void }) {
  useShortcut(keys, act);
  return null;
}
