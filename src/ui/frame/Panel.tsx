"use client";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

interface Props {
  readonly title: string;
  readonly titleHidden?: boolean;
  readonly close: () => void;
  readonly children: ReactNode;
}

/** A panel over the page. It is open while it is rendered; Escape and a press beside it close it. */
export function Panel({ title, titleHidden = false, close, children }: Props) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="overlay" />
        {/* what is sent here is not also sent by the form that the panel was opened from: React passes events up through a portal */}
        <Dialog.Content className="dialog" aria-describedby={undefined} onSubmit={(event) => event.stopPropagation()}>
          <Dialog.Title asChild>
            <h2 className={titleHidden ? "visually-hidden" : ""}>{title}</h2>
          </Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
