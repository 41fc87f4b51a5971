"use client";
import { type ReactNode, useState } from "react";
import { formatDate, formatGrams, inSentence } from "@/core/units";
import type { ProductRow } from "@/core/views/cabinetRows";
import type { StockLot } from "@/core/views/stock";
import { lazily } from "../frame/lazily";
import { useWall } from "../frame/now";
import { useRemove } from "../frame/Undo";
import { HatchSwatch } from "../signs/Hatches";

const AddJar = lazily(() => import("./SideForms").then((module) => module.AddJar));
const EditProduct = lazily(() => import("./SideForms").then((module) => module.EditProduct));
const WeighJar = lazily(() => import("./SideForms").then((module) => module.WeighJar));

interface Props {
  readonly row: ProductRow;
  /** Its figures against its class's, drawn on the server. */
  readonly figures: ReactNode;
  /** Where the figures are from, and what holds for food. */
  readonly note: string;
}

/** The selected product: its figures against its class's, its jars, and who wants it. */
export function ProductSide({ row, figures, note }: Props) {
  const { product, class_name, left_g, wanted, hatch } = row;
  const remove = useRemove();
  const [editing, setEditing] = useState(false);
  const [adding, setAdding] = useState(false);
  const wants = wanted.reduce((sum, { grams }) => sum + grams, 0);
  return (
    <aside className="objects-side cabinet-side" aria-label="Selected product">
      <div className="flex items-start gap-3 pb-2">
        <HatchSwatch hatch={hatch} size={44} />
        <div className="min-w-0">
          <h2 className="clamp-3 text-title leading-[24px]">{product.name}</h2>
          <p className="sub">
            {inSentence(class_name)}, {formatGrams(left_g)} left
          </p>
        </div>
      </div>
      {editing ? <EditProduct product={product} close={() => setEditing(false)} /> : figures}
      {!editing && (
        <button type="button" className="btn small mt-2" onClick={() => setEditing(true)}>
          Change name or figures
        </button>
      )}
      <h3 className="rule mt-4 pt-2">Jars</h3>
      {product.lots.map((lot) => (
        <Jar key={lot.id} lot={lot} />
      ))}
      {adding ? (
        <AddJar product={product.id} close={() => setAdding(false)} />
      ) : (
        <button type="button" className="btn small mt-2" onClick={() => setAdding(true)}>
          Another jar of it
        </button>
      )}
      <h3 className="rule mt-4 pt-2">Wanted by</h3>
      {wanted.length === 0 ? (
        <p className="dim">No open piece takes it.</p>
      ) : (
        <dl className="kv">
          {wanted.flatMap(({ treatment, piece, role, grams }) => [
            <dt key={`${treatment} ${role}`}>{piece}</dt>,
            <dd key={`${treatment} ${role} g`}>{formatGrams(grams)}</dd>,
          ])}
          <dt className="tot">Left after that</dt>
          <dd className="tot">{wants > left_g ? `${formatGrams(wants - left_g)} short` : formatGrams(left_g - wants)}</dd>
        </dl>
      )}
      <p className="sub pt-3">{note}</p>
      <button
        type="button"
        className="link-btn mt-2"
        onClick={() => void remove({ kind: "products", id: product.id, name: product.name, goTo: "/cabinet" })}
      >
        Delete it with its jars
      </button>
    </aside>
  );
}

/** One jar: weigh it, or correct its dates. */
function Jar({ lot }: { lot: StockLot }) {
  const [open, setOpen] = useState(false);
  const facts = [lot.opened && `opened ${formatDate(lot.opened)}`, lot.expires ? `goes off ${formatDate(lot.expires)}` : "no date"]
    .filter(Boolean)
    .join(", ");
  return (
    <div className="border-b border-ash py-1">
      <div className="flex items-center justify-between gap-2">
        <span className="min-w-0">
          <b className="clamp-3">
            {lot.label}: {formatGrams(lot.left_g)} of {formatGrams(lot.size_g)}
          </b>
          <span className="sub">{facts}</span>
        </span>
        {!open && (
          <button type="button" className="btn small" onClick={() => setOpen(true)} aria-label={`Weigh it: jar ${lot.label}`}>
            Weigh it
          </button>
        )}
      </div>
      {lot.changes && lot.changes.length > 0 && <Account changes={lot.changes} />}
      {open && <WeighJar lot={lot} close={() => setOpen(false)} />}
    </div>
  );
}

/** What became of a jar: every change is a line, the newest first. */
function Account({ changes }: { changes: NonNullable<StockLot["changes"]> }) {
  const wall = useWall();
  return (
    <details>
      <summary className="link-btn inline-flex cursor-pointer items-center">What was taken</summary>
      <ol aria-label="Account of this jar">
        {changes.map(({ at, because, delta_g, left_g, piece }) => (
          <li key={`${at} ${delta_g} ${left_g}`} className="flex justify-between gap-2 border-t border-ash-deep py-1">
            <span className="min-w-0 wrap-anywhere">
              {wall.stamp(Date.parse(at))}, {because}
              {piece ? `: ${piece}` : ""}
            </span>
            <b className="whitespace-nowrap">
              {delta_g < 0 ? "−" : "+"}
              {formatGrams(Math.abs(delta_g))}
            </b>
          </li>
        ))}
      </ol>
    </details>
  );
}
