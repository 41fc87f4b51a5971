"use client";
import Link from "next/link";
import { useMemo, useState } from "react";
import { classRow, type Group } from "@/core/catalogue";
import { figure, formatDate, formatGrams, inSentence } from "@/core/units";
import type { Need } from "@/core/views/needs";
import type { GoingOff, StockProduct } from "@/core/views/stock";
import { HatchSwatch } from "../signs/Hatches";
import { Compare } from "./Compare";
import { type ProductRow, rowsOf, SORTS, type SortKey, shelvesOf } from "./columns";
import { GoesOff, GoingOffStrip } from "./GoingOffStrip";
import { ImportCabinet } from "./ImportCabinet";
import { ProductSide } from "./ProductSide";

interface Props {
  readonly products: readonly StockProduct[];
  readonly needs: readonly Need[];
  readonly goingOff: readonly GoingOff[];
  readonly now: number;
  readonly selected: string | undefined;
}

const MOST_COMPARED = 4;
const HEADS: ReadonlyArray<readonly [key: SortKey, label: string, className: string]> = [
  ["name", "Material", ""],
  ["left", "Left", "num"],
  ["opened", "Opened", "hide-narrow"],
  ["expires", "Goes off", ""],
  ["price", "Price", "num hide-narrow"],
];

/** The shop's own products: what is left, what goes off, who wants it. */
export function Cabinet({ products, needs, goingOff, now, selected }: Props) {
  const [words, setWords] = useState("");
  const [shelf, setShelf] = useState<Group | "all">("all");
  const [sort, setSort] = useState<{ readonly key: SortKey; readonly down: boolean }>({ key: "name", down: false });
  const [compared, setCompared] = useState<readonly string[]>([]);
  const [taking, setTaking] = useState(false);
  const rows = useMemo(() => rowsOf(products, needs, now), [products, needs, now]);
  const asked = words.trim().toLowerCase();
  const shown = rows
    .filter((row) => (shelf === "all" || row.group === shelf) && `${row.product.name} ${row.class_name}`.toLowerCase().includes(asked))
    .sort((a, b) => SORTS[sort.key](a, b) * (sort.down ? -1 : 1));
  const side = rows.find(({ product }) => product.id === selected) ?? shown[0];
  const compare = rows.filter(({ product }) => compared.includes(product.id));
  return (
    <div className={side ? "objects cabinet" : ""}>
      <section className="objects-main">
        <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
          <h1>Cabinet</h1>
          <input
            type="search"
            className="txt w-[240px] max-w-full"
            aria-label="Name or kind of material"
            placeholder="Name or kind of material"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            maxLength={200}
          />
          <span className="ml-auto flex flex-wrap gap-2">
            <button type="button" className="btn" aria-expanded={taking} onClick={() => setTaking(!taking)}>
              From CSV
            </button>
            <a className="btn" href="/api/cabinet/csv" download>
              To CSV
            </a>
            <Link href="/cabinet/new" className="btn go">
              Put a jar in
            </Link>
          </span>
        </div>
        {taking && <ImportCabinet done={() => setTaking(false)} />}
        <div className="chips py-2">
          <button type="button" className="chip" aria-pressed={shelf === "all"} onClick={() => setShelf("all")}>
            All {rows.length}
          </button>
          {shelvesOf(rows).map(([group, label, count]) => (
            <button key={group} type="button" className="chip" aria-pressed={shelf === group} onClick={() => setShelf(group)}>
              {label} {count}
            </button>
          ))}
        </div>
        <GoingOffStrip goingOff={goingOff} />
        {compare.length > 0 && (
          <Compare rows={compare} drop={(id) => setCompared(compared.filter((each) => each !== id))} clear={() => setCompared([])} />
        )}
        {shown.length === 0 ? (
          <NoJars any={rows.length > 0} words={words.trim()} />
        ) : (
          <table className="lst">
            <thead>
              <tr>
                {HEADS.map(([key, label, className]) => (
                  <th key={key} className={className} aria-sort={sort.key === key ? (sort.down ? "descending" : "ascending") : undefined}>
                    <button type="button" className="sort-btn" onClick={() => setSort({ key, down: sort.key === key && !sort.down })}>
                      {label} {sort.key === key ? (sort.down ? "↓" : "↑") : ""}
                    </button>
                  </th>
                ))}
                <th className="hide-narrow">Wanted by</th>
                <th>Compare</th>
              </tr>
            </thead>
            <tbody>
              {shown.map((row) => (
                <Row
                  key={row.product.id}
                  row={row}
                  here={row === side}
                  compared={compared.includes(row.product.id)}
                  mayCompare={compared.length < MOST_COMPARED}
                  compare={(yes) => setCompared(yes ? [...compared, row.product.id] : compared.filter((id) => id !== row.product.id))}
                />
              ))}
            </tbody>
          </table>
        )}
      </section>
      {side && <ProductSide key={side.product.id} row={side} />}
    </div>
  );
}

interface RowProps {
  readonly row: ProductRow;
  readonly here: boolean;
  readonly compared: boolean;
  readonly mayCompare: boolean;
  readonly compare: (yes: boolean) => void;
}

function Row({ row, here, compared, mayCompare, compare }: RowProps) {
  const { product, class_name, left_g, size_g, opened, price_eur_kg, wanted } = row;
  return (
    <tr className={`obj-row ${here ? "sel" : ""}`}>
      <td>
        <Link className="row-open" href={`/cabinet?product=${product.id}`} replace scroll={false} aria-current={here ? true : undefined}>
          <HatchSwatch hatch={classRow(product.class).hatch} />
          <span className="min-w-0">
            <b className="obj-name clamp-3">{product.name}</b>
            <span className="sub">{inSentence(class_name)}</span>
          </span>
        </Link>
      </td>
      <td className="num">
        <b>{formatGrams(left_g)}</b>
        <span className="level" aria-hidden="true">
          <span style={{ width: `${Math.min(100, size_g > 0 ? (left_g / size_g) * 100 : 0)}%` }} />
        </span>
      </td>
      <td className="hide-narrow whitespace-nowrap">{opened ? formatDate(opened) : "–"}</td>
      <td>
        <GoesOff row={row} />
      </td>
      <td className="num hide-narrow whitespace-nowrap">{price_eur_kg === undefined ? "–" : `${figure(price_eur_kg, 0)} €/kg`}</td>
      <td className="hide-narrow">
        {wanted.length === 0 ? "nobody" : wanted.map(({ piece, grams }) => `${piece} ${formatGrams(grams)}`).join(", ")}
      </td>
      <td>
        <label className="tick">
          <input
            type="checkbox"
            checked={compared}
            disabled={!compared && !mayCompare}
            onChange={(event) => compare(event.target.checked)}
            aria-label={`Compare ${product.name}`}
          />
        </label>
      </td>
    </tr>
  );
}

function NoJars({ any, words }: { any: boolean; words: string }) {
  if (any) return <p className="py-4">Nothing here is called “{words}” or stands on this shelf. Look at all, or put a jar in.</p>;
  return (
    <p className="max-w-[560px] py-4 text-[16px] leading-[22px]">
      The cabinet is empty. Match then looks at all classes and tells what has to be bought. Put a jar in, or take a list in from CSV: the
      columns are name, class, lot, size_g, left_g, opened, expires, price_eur, and any figure of a data sheet.
    </p>
  );
}
