"use client";
import { useRouter } from "next/navigation";
import { createContext, type ReactNode, useCallback, useContext, useEffect, useState } from "react";
import { send } from "../forms/send";

interface Removal {
  readonly kind: "pieces" | "treatments" | "photographs" | "products";
  readonly id: string;
  readonly name: string;
  /** Where to go once it is away. */
  readonly goTo?: string;
}

type Remove = (removal: Removal) => Promise<void>;

const RemoveContext = createContext<Remove>(async () => undefined);
const SHOWN_MS = 20_000;

/** Delete something; the shell offers to undo it. */
export const useRemove = () => useContext(RemoveContext);

/** Deletes without asking and says so, with undo, for some twenty seconds; on every page. */
export function Undo({ children }: { children: ReactNode }) {
  const router = useRouter();
  const [removed, setRemoved] = useState<Removal>();
  const [trouble, setTrouble] = useState("");
  const remove = useCallback<Remove>(
    async (removal) => {
      const sent = await send("PUT", `/api/removed/${removal.kind}/${removal.id}`);
      setTrouble(sent.ok ? "" : sent.problem.detail);
      setRemoved(sent.ok ? removal : undefined);
      if (!sent.ok) return;
      if (removal.goTo) router.push(removal.goTo);
      router.refresh();
    },
    [router],
  );
  const undo = async () => {
    if (!removed) return;
    const sent = await send("DELETE", `/api/removed/${removed.kind}/${removed.id}`);
    setTrouble(sent.ok ? "" : sent.problem.detail);
    setRemoved(undefined);
    router.refresh();
  };
  useEffect(() => {
    if (!removed) return;
    const end = setTimeout(() => setRemoved(undefined), SHOWN_MS);
    return () => clearTimeout(end);
  }, [removed]);
  return (
    <RemoveContext value={remove}>
      {children}
      {(removed || trouble) && (
        <div className="toast no-print" role="status">
          <span className="one-line">{trouble || `Deleted: ${removed?.name}`}</span>
          {removed && (
            <button type="button" className="btn small" onClick={() => void undo()}>
              Undo
            </button>
          )}
          {trouble && (
            <button type="button" className="btn small" onClick={() => setTrouble("")}>
              Understood
            </button>
          )}
        </div>
      )}
    </RemoveContext>
  );
}
