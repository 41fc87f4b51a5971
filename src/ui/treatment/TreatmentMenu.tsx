"use client";
import { EllipsisVertical } from "lucide-react";
import Link from "next/link";
import { DropdownMenu } from "radix-ui";
import { useRemove } from "../frame/Undo";

/** What is done rarely to a treatment: its piece, its dossier, its end. */
export function TreatmentMenu({ id, pieceId, title }: { id: string; pieceId: string; title: string }) {
  const remove = useRemove();
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="btn small" aria-label="More for this treatment">
        <EllipsisVertical size={18} aria-hidden="true" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content className="menu" align="end" sideOffset={4}>
          <DropdownMenu.Item asChild>
            <Link href={`/objects/${pieceId}`}>The piece and its treatments</Link>
          </DropdownMenu.Item>
          <DropdownMenu.Item asChild>
            <Link href={`/treatments/${id}/record`}>The record, for print</Link>
          </DropdownMenu.Item>
          <DropdownMenu.Item asChild>
            <a href={`/api/treatments/${id}/dossier`}>Take the dossier with you</a>
          </DropdownMenu.Item>
          <DropdownMenu.Item onSelect={() => void remove({ kind: "treatments", id, name: title, goTo: `/objects/${pieceId}` })}>
            Delete this treatment
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
