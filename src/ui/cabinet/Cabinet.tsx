"use client";
import { type ReactNode, useMemo, useState } from "react";
import type { Group } from "@/core/catalogue";
import { figure, formatDate, formatGrams, inSentence } from "@/core/units";
import type { ProductRow } from "@/core/views/cabinetRows";
import type { GoingOff } from "@/core/views/stock";
import { Link } from "../frame/Link";
import { lazily } from "../frame/lazily";
import { HatchSwatch } from "../signs/Hatches";
import { type Column, DataTable } from "../table/DataTable";
import { SORTS, shelvesOf } from "./columns";
import { GoesOff, GoingOffStrip } from "./GoingOffStrip";

interface Props {
  readonly rows: readonly ProductRow[];
  readonly goingOff: readonly GoingOff[];
  /** The product that stands beside the list, and what is drawn of it. */
  readonly here: string | undefined;
  readonly side: ReactNode;
}

const MOST_COMPARED = 4;
const Compare = lazily(() => import("./Compare").then((module) => module.Compare));
const ImportCabinet = lazily(() => import("./ImportCabinet").then((module) => module.ImportCabinet));

/** The shop's own products: what is left, what goes off, who wants it. */
export function Cabinet({ rows, goingOff, here, side }: Props) {
  const [words, setWords] = useState("");
  const [shelf, setShelf] = useState<Group | "all">("all");
  const [compared, setCompared] = useState<readonly string[]>([]);
  const [taking, setTaking] = useState(false);
  const asked = words.trim().toLowerCase();
  const shown = useMemo(
    () =>
      rows.filter(
        (row) => (shelf === "all" || row.group === shelf) && `${row.product.name} ${row.class_name}`.toLowerCase().includes(asked),
      ),
    [rows, shelf, asked],
  );
  const columns = useMemo(() => columnsWith(compared, setCompared), [compared]);
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
          <DataTable columns={columns} rows={shown} idOf={({ product }) => product.id} here={here} sorted="name" />
        )}
      </section>
      {side}
    </div>
  );
}

const COLUMNS: readonly Column<ProductRow>[] = [
  { id: "name", head: "Material", compare: SORTS.name, cell: (row) => <Name {...row} /> },
  { id: "left", head: "Left", className: "num", compare: SORTS.left, cell: (row) => <Left {...row} /> },
  {
    id: "opened",
    head: "Opened",
    className: "hide-narrow whitespace-nowrap",
    compare: SORTS.opened,
    cell: ({ opened }) => (opened ? formatDate(opened) : "–"),
  },
  { id: "expires", head: "Goes off", compare: SORTS.expires, cell: (row) => <GoesOff row={row} /> },
  {
    id: "price",
    head: "Price",
    className: "num hide-narrow whitespace-nowrap",
    compare: SORTS.price,
    cell: ({ price_eur_kg }) => (price_eur_kg === undefined ? "–" : `${figure(price_eur_kg, 0)} €/kg`),
  },
  {
    id: "wanted",
    head: "Wanted by",
    className: "hide-narrow",
    cell: ({ wanted }) => (wanted.length === 0 ? "nobody" : wanted.map(({ piece, grams }) => `${piece} ${formatGrams(grams)}`).join(", ")),
  },
];

/** The columns, with a tick for what stands side by side above them. */
function columnsWith(compared: readonly string[], set: (ids: readonly string[]) => void): Column<ProductRow>[] {
  const tick = ({ product: { id, name } }: ProductRow) => (
    <label className="tick">
      <input
        type="checkbox"
        checked={compared.includes(id)}
        disabled={!compared.includes(id) && compared.length >= MOST_COMPARED}
        onChange={({ target }) => set(target.checked ? [...compared, id] : compared.filter((each) => each !== id))}
        aria-label={`Compare ${name}`}
      />
    </label>
  );
  return [...COLUMNS, { id: "compare", head: "Compare", cell: tick }];
}

function Name({ product, class_name, hatch }: ProductRow) {
  return (
    <Link className="row-open" href={`/cabinet?product=${product.id}`} replace scroll={false}>
      <HatchSwatch hatch={hatch} />
      <span className="min-w-0">
        <b className="obj-name clamp-3">{product.name}</b>
        <span className="sub">{inSentence(class_name)}</span>
      </span>
    </Link>
  );
}

function Left({ left_g, size_g }: ProductRow) {
  return (
    <>
      <b>{formatGrams(left_g)}</b>
      <span className="level" aria-hidden="true">
        <span style={{ width: `${Math.min(100, size_g > 0 ? (left_g / size_g) * 100 : 0)}%` }} />
      </span>
    </>
  );
}

function NoJars({ any, words }: { any: boolean; words: string }) {
  if (any) return <p className="py-4">Nothing here is called “{words}” or stands on this shelf. Look at all, or put a jar in.</p>;
  return (
    <p className="max-w-[560px] py-4 text-read leading-[22px]">
      The cabinet is empty. Match then looks at all classes and tells what has to be bought. Put a jar in, or take a list in from CSV: the
      columns are name, class, lot, size_g, left_g, opened, expires, price_eur, and any figure of a data sheet.
    </p>
  );
}
