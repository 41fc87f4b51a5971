"use client";
import type { CoatName } from "@/core/catalogue";
import type { ChainLink } from "@/core/match/match.schema";
import { type BuildCandidate, type BuildPlace, COAT_CHOICES } from "@/core/views/buildRows";

interface Props {
  readonly place: BuildPlace;
  readonly row: ChainLink;
  readonly at: number;
  readonly count: number;
  readonly change: (to: ChainLink) => void;
  readonly remove: () => void;
  readonly move: (from: number, to: number) => void;
}

const keyOf = ({ class: name, product }: Pick<ChainLink, "class" | "product">) => product?.id ?? name;

/** The row with another material; a reason against the rules belonged to the one before. */
function withMaterial({ because: _because, product: _product, ...row }: ChainLink, candidate: BuildCandidate): ChainLink {
  return { ...row, class: candidate.class, ...(candidate.product ? { product: candidate.product } : {}) };
}

/** One row of coats or one layer: what it is, of what material, how many or how thick, and where in the order. */
export function BuildRow({ place, row, at, count, change, remove, move }: Props) {
  const { candidates, what } = place;
  const able = candidates[row.role] ?? [];
  const chosen = able.find((each) => keyOf(each) === keyOf(row));
  const setAs = (as: CoatName) => {
    const role = COAT_CHOICES.find((each) => each.as === as)?.role ?? "topcoat";
    const first = candidates[role]?.[0];
    const same = role === row.role || !first;
    change(same ? { ...row, as } : { ...withMaterial(row, first), role, as });
  };
  const name = `${what === "layers" ? "Layer" : "Row"} ${at + 1}`;
  return (
    <li className="build-row">
      {what === "coats" && (
        <select
          className="txt"
          aria-label={`${name}: what it is`}
          value={row.as ?? "clear"}
          onChange={(event) => setAs(event.target.value as CoatName)}
        >
          {COAT_CHOICES.map(({ as, label }) => (
            <option key={as} value={as}>
              {label}
            </option>
          ))}
        </select>
      )}
      <div className="min-w-0">
        <select
          className="txt"
          aria-label={`${name}: material`}
          value={keyOf(row)}
          onChange={(event) => {
            const candidate = able.find((each) => keyOf(each) === event.target.value);
            if (candidate) change(withMaterial(row, candidate));
          }}
        >
          {!chosen && <option value={keyOf(row)}>{row.product?.name ?? row.class.replaceAll("-", " ")}</option>}
          {able.map((candidate) => (
            <option key={keyOf(candidate)} value={keyOf(candidate)}>
              {candidate.name}
            </option>
          ))}
        </select>
        {chosen?.condition && <p className="sub">{chosen.condition}</p>}
      </div>
      {what === "coats" && (
        <span className="flex items-center gap-1">
          <button
            type="button"
            className="btn small"
            aria-label={`${name}: one coat less`}
            disabled={(row.coats ?? 1) < 2}
            onClick={() => change({ ...row, coats: (row.coats ?? 1) - 1 })}
          >
            −
          </button>
          <b className="w-7 text-center text-read">{row.coats ?? 1}</b>
          <button
            type="button"
            className="btn small"
            aria-label={`${name}: one coat more`}
            disabled={(row.coats ?? 1) > 19}
            onClick={() => change({ ...row, coats: (row.coats ?? 1) + 1 })}
          >
            +
          </button>
        </span>
      )}
      {what === "layers" && at > 0 && <Thickness name={name} row={row} change={change} />}
      {what !== "material" && (
        <span className="flex items-center gap-1">
          <button type="button" className="btn small" aria-label={`${name}: earlier`} disabled={at === 0} onClick={() => move(at, at - 1)}>
            ↑
          </button>
          <button
            type="button"
            className="btn small"
            aria-label={`${name}: later`}
            disabled={at === count - 1}
            onClick={() => move(at, at + 1)}
          >
            ↓
          </button>
          <button type="button" className="btn small" aria-label={`${name}: take it out`} disabled={count === 1} onClick={remove}>
            Out
          </button>
        </span>
      )}
    </li>
  );
}

/** How thick a layer over the first is, mm; empty = as its material allows. */
function Thickness({ name, row, change }: { name: string; row: ChainLink; change: (to: ChainLink) => void }) {
  const { mm, ...rest } = row;
  return (
    <label className="flex items-center gap-1">
      <span className="visually-hidden">{name}: thickness in mm</span>
      <input
        className="txt w-[84px]"
        type="number"
        min={0.05}
        step={0.05}
        placeholder="as it allows"
        value={mm ?? ""}
        onChange={(event) => change(event.target.value === "" ? rest : { ...rest, mm: Math.max(0.01, Number(event.target.value)) })}
      />
      mm
    </label>
  );
}
