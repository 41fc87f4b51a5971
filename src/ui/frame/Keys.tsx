"use client";
import { useRouter } from "next/navigation";
import { Dialog } from "radix-ui";
import { useState } from "react";
import { DESTINATIONS } from "./destinations";
import { useShortcut } from "./keys";

const SHOWN = [
  ["/", "find or jump"],
  ["1 – 9", "start that line on Bench"],
  ...DESTINATIONS.map(({ key, label }) => [`G then ${key.toUpperCase()}`, `go to ${label}`]),
  ["[ and ]", "previous or next station"],
  ["S", "to the Shelf"],
  ["?", "these keys"],
] as const;

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
      <Dialog.Root open={open} onOpenChange={setOpen}>
        <Dialog.Portal>
          <Dialog.Overlay className="overlay" />
          <Dialog.Content className="dialog" aria-describedby={undefined}>
            <Dialog.Title asChild>
              <h2>All keys</h2>
            </Dialog.Title>
            <dl className="mt-2 grid grid-cols-[130px_1fr] gap-y-2 text-[16px] leading-[22px]">
              {SHOWN.map(([keys, what]) => (
                <div key={keys} className="contents">
                  <dt>
                    <kbd>{keys}</kbd>
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
            <Dialog.Close className="btn mt-4">Back</Dialog.Close>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}

function Jump({ keys, act }: { keys: string; act: () => void }) {
  useShortcut(keys, act);
  return null;
}
