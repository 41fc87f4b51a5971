"use client";
import { useState } from "react";
import type { ChainLink } from "@/core/match/match.schema";
import { counted } from "@/core/units";
import { type BuildChoice, type BuildPlace, COAT_CHOICES, withRows } from "@/core/views/buildRows";
import { useKept } from "../forms/kept";
import { useLog } from "../treatment/TreatmentLog";
import { BuildRow } from "./BuildRow";
import { useRowIds } from "./rowIds";
import { Templates } from "./Templates";

interface Props {
  readonly places: readonly BuildPlace[];
  readonly choices: readonly BuildChoice[];
}

const TITLES = { coats: "Coats", layers: "Fill, from the bottom up", material: "Material" } as const;
const ADD = { coats: "Add a coat", layers: "Add a layer over it", material: "" } as const;

/** What each place is built of, changed by hand: coats and layers added, taken out and moved, each with its material. */
export function Build({ places, choices }: Props) {
  if (places.length === 0) return null;
  return (
    <section aria-label="Built by hand" className="panel-block grid gap-2">
      <h3>Change what it is built of</h3>
      {places.map((place) => {
        const choice = choices.find(({ damage }) => damage === place.damage);
        return choice ? (
          <PlaceBuild
            key={`${place.place} ${place.label} ${choice.entry}`}
            place={place}
            choice={choice}
            first={places.length === 1 && place.what === "coats"}
          />
        ) : null;
      })}
    </section>
  );
}

interface PlaceProps {
  readonly place: BuildPlace;
  readonly choice: BuildChoice;
  /** It is all that stands here: it lies open. */
  readonly first: boolean;
}

function PlaceBuild({ place, choice, first }: PlaceProps) {
  const log = useLog();
  const [kept, keep, forget] = useKept<readonly ChainLink[] | null>(`build:${log.treatment}:${place.place}:${place.what}`, null);
  const rows = kept ?? place.rows;
  const [open, setOpen] = useState(first);
  const ids = useRowIds();
  const change = (next: readonly ChainLink[]) => keep(next);
  const back = () => {
    forget();
    keep(null);
  };
  const write = async () => {
    const { damage, stance, reason, entry } = choice;
    const chain = withRows(choice, place, rows);
    const body = { kind: "matched", damage, stance, chain, ...(reason ? { reason } : {}) } as const;
    if (!(await log.write(body, { corrects: entry }))) return;
    back();
    setOpen(first);
  };
  const add = () => {
    const last = rows.at(-1);
    const role = place.roles.at(-1);
    const first = role && place.candidates[role]?.[0];
    if (!role || !first) return;
    const row: ChainLink = { role, class: first.class, ...(first.product ? { product: first.product } : {}) };
    change([
      ...rows,
      place.what === "coats"
        ? { ...row, as: COAT_CHOICES.find((each) => each.role === role)?.as ?? "clear", coats: 1 }
        : { ...row, ...(last?.mm ? { mm: last.mm } : {}) },
    ]);
  };
  const move = (from: number, to: number) => {
    const next = [...rows];
    const [row] = next.splice(from, 1);
    ids.move(from, to);
    if (row) change([...next.slice(0, to), row, ...next.slice(to)]);
  };
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="link-btn inline-flex cursor-pointer items-center text-left">
        {place.label}: {TITLES[place.what].toLowerCase()}, {counted(rows.length, "row")}
      </summary>
      {place.what === "coats" && <Templates place={place} take={change} />}
      <ol aria-label={`${TITLES[place.what]} of ${place.label}`}>
        {rows.map((row, i) => (
          <BuildRow
            key={ids.of(i)}
            place={place}
            row={row}
            at={i}
            count={rows.length}
            change={(to) => change(rows.map((each, j) => (j === i ? to : each)))}
            remove={() => {
              ids.remove(i);
              change(rows.filter((_, j) => j !== i));
            }}
            move={move}
          />
        ))}
      </ol>
      <div className="btn-row flex-wrap pt-2">
        {ADD[place.what] !== "" && (
          <button type="button" className="btn" onClick={add}>
            {ADD[place.what]}
          </button>
        )}
        {kept && (
          <>
            <button type="button" className="btn go" disabled={log.busy || rows.length === 0} onClick={() => void write()}>
              Plan it so
            </button>
            <button type="button" className="btn" onClick={back}>
              As before
            </button>
          </>
        )}
      </div>
    </details>
  );
}
