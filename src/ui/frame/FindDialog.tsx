"use client";
import { useRouter } from "next/navigation";
import { type KeyboardEvent, useEffect, useState } from "react";
import { DESTINATIONS } from "./destinations";
import { Panel } from "./Panel";

interface Hit {
  readonly type: "piece" | "treatment" | "product";
  readonly id: string;
  readonly title: string;
  readonly detail: string;
  readonly nearness: number;
}

interface Row {
  readonly href: string;
  readonly title: string;
  readonly detail: string;
  readonly what: string;
}

const PATHS: Readonly<Record<Hit["type"], string>> = { piece: "/objects/", treatment: "/treatments/", product: "/cabinet?product=" };
const NAMES: Readonly<Record<Hit["type"], string>> = { piece: "piece", treatment: "treatment", product: "in the cabinet" };
const PAUSE_MS = 120;

/** The panel of find-or-jump; loaded when it is first asked for. */
export function FindDialog({ close }: { close: () => void }) {
  return (
    <Panel title="Find or jump to" titleHidden close={close}>
      <FindPanel close={close} />
    </Panel>
  );
}

function FindPanel({ close }: { close: () => void }) {
  const router = useRouter();
  const [words, setWords] = useState("");
  const [chosen, setChosen] = useState(0);
  const found = useHits(words);
  const places = placesFor(words);
  const rows = [...places, ...(found.hits ?? []).map(rowOf)];
  const go = (row: Row | undefined) => {
    if (!row) return;
    close();
    router.push(row.href);
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key === "ArrowDown") setChosen((i) => Math.min(rows.length - 1, i + 1));
    else if (event.key === "ArrowUp") setChosen((i) => Math.max(0, i - 1));
    else if (event.key === "Enter") go(rows[chosen]);
    else return;
    event.preventDefault();
  };
  const type = (text: string) => {
    setWords(text);
    setChosen(0);
  };
  return (
    <>
      <input
        className="txt"
        role="combobox"
        aria-expanded="true"
        aria-controls="hits"
        aria-activedescendant={rows[chosen] ? `hit-${chosen}` : undefined}
        aria-label="Mark, name, owner or treatment"
        placeholder="Mark, name, owner or treatment"
        value={words}
        onChange={(event) => type(event.target.value)}
        onKeyDown={onKey}
        maxLength={200}
      />
      <div id="hits" role="listbox" aria-label="Found" className="mt-2">
        {rows.map((row, i) => (
          <div
            key={row.href}
            id={`hit-${i}`}
            role="option"
            aria-selected={i === chosen}
            tabIndex={-1}
            className="hit"
            onPointerMove={() => setChosen(i)}
            onClick={() => go(row)}
            onKeyDown={onKey}
          >
            <b className="one-line text-read">{row.title}</b>
            <span className="sub self-center">{row.what}</span>
            <span className="sub one-line col-span-2">{row.detail}</span>
          </div>
        ))}
      </div>
      {found.away && <p className="mt-3 font-semibold text-minium">The record can’t be searched just now. Places still work.</p>}
      {words.trim() !== "" && found.hits?.length === 0 && <NoHit words={words.trim()} close={close} />}
    </>
  );
}

function NoHit({ words, close }: { words: string; close: () => void }) {
  const router = useRouter();
  const enter = () => {
    close();
    router.push(`/objects/new?title=${encodeURIComponent(words)}`);
  };
  return (
    <div className="mt-3">
      <p className="text-title font-bold leading-[24px] wrap-anywhere">No piece called “{words}”</p>
      <p className="mb-3">Looked in marks, names, owners and treatments, closed ones too. Nothing comes near it.</p>
      <button type="button" className="btn" onClick={enter}>
        <span className="clamp-3">New piece “{words}”</span>
      </button>
    </div>
  );
}

function placesFor(words: string): Row[] {
  const asked = words.trim().toLowerCase();
  return DESTINATIONS.filter(({ label }) => label.toLowerCase().startsWith(asked)).map(({ href, label, key }) => ({
    href,
    title: label,
    detail: `G then ${key.toUpperCase()}`,
    what: "place",
  }));
}

function rowOf({ type, id, title, detail, nearness }: Hit): Row {
  return { href: PATHS[type] + id, title, detail: nearness < 1 ? `near it · ${detail}` : detail, what: NAMES[type] };
}

function useHits(words: string): { hits?: readonly Hit[]; away: boolean } {
  const [found, setFound] = useState<{ hits?: readonly Hit[]; away: boolean }>({ away: false });
  useEffect(() => {
    if (words.trim() === "") {
      setFound({ away: false });
      return;
    }
    const stop = new AbortController();
    const wait = setTimeout(async () => {
      try {
        const response = await fetch(`/api/find?q=${encodeURIComponent(words)}`, { signal: stop.signal });
        setFound(response.ok ? { hits: await response.json(), away: false } : { away: true });
      } catch {
        if (!stop.signal.aborted) setFound({ away: true });
      }
    }, PAUSE_MS);
    return () => {
      clearTimeout(wait);
      stop.abort();
    };
  }, [words]);
  return found;
}
