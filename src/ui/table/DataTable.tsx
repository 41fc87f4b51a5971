"use client";
import { type ColumnDef, createSortedRowModel, rowSortingFeature, type SortingState, tableFeatures, useTable } from "@tanstack/react-table";
import { useVirtualizer } from "@tanstack/react-virtual";
import { clsx } from "clsx";
import { type ReactNode, useMemo, useRef } from "react";

/** A column: its head, what stands in its cells, and how it is put in order. */
export interface Column<Row> {
  readonly id: string;
  readonly head: string;
  readonly className?: string;
  readonly cell: (row: Row) => ReactNode;
  /** Ascending; present = its head is a button that sorts by it. */
  readonly compare?: (a: Row, b: Row) => number;
}

interface Props<Row> {
  readonly columns: readonly Column<Row>[];
  readonly rows: readonly Row[];
  readonly idOf: (row: Row) => string;
  /** The row that is shown beside the table. */
  readonly here?: string | undefined;
  /** A pointer or the focus has come to a row. */
  readonly enter?: (id: string) => void;
  /** The column that it is sorted by at first. */
  readonly sorted?: string;
}

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel() });

/** From so many rows on, only those in sight are drawn. */
const VIRTUAL_FROM = 80;
const ROW_PX = 62;

/** A list of things with their facts in columns; long ones draw only what is in sight. */
export function DataTable<Row extends object>({ columns, rows, idOf, here, enter, sorted }: Props<Row>) {
  const defs = useMemo(() => columns.map(defOf), [columns]);
  const initialState = useMemo(() => ({ sorting: sorted === undefined ? [] : ([{ id: sorted, desc: false }] as SortingState) }), [sorted]);
  const table = useTable({ features, columns: defs, data: rows as Row[], getRowId: idOf, initialState, enableSortingRemoval: false });
  const own = useRef<HTMLTableElement>(null);
  const all = table.getRowModel().rows;
  const window = useVirtualizer({
    count: all.length,
    enabled: all.length >= VIRTUAL_FROM,
    getScrollElement: () => own.current?.closest<HTMLElement>(".shell-main") ?? null,
    estimateSize: () => ROW_PX,
    overscan: 12,
    // what the server draws before it knows a window
    initialRect: { width: 1280, height: 800 },
  });
  const inSight = all.length >= VIRTUAL_FROM ? window.getVirtualItems() : undefined;
  const shown = inSight?.map(({ index }) => index) ?? all.map((_, index) => index);
  const before = inSight?.[0]?.start ?? 0;
  const after = inSight ? window.getTotalSize() - (inSight.at(-1)?.end ?? 0) : 0;
  return (
    <table className="lst" ref={own} aria-rowcount={inSight ? all.length + 1 : undefined}>
      <thead>
        <tr>
          {table.getFlatHeaders().map(({ column }) => {
            const { head, className } = columns.find(({ id }) => id === column.id) ?? { head: "" };
            const way = column.getIsSorted();
            return (
              <th key={column.id} className={className} aria-sort={way === "desc" ? "descending" : way === "asc" ? "ascending" : undefined}>
                {column.getCanSort() ? (
                  <button type="button" className="sort-btn" onClick={() => column.toggleSorting()}>
                    {head} {way === "desc" ? "↓" : way === "asc" ? "↑" : ""}
                  </button>
                ) : (
                  head
                )}
              </th>
            );
          })}
        </tr>
      </thead>
      <tbody>
        <Gap px={before} columns={columns.length} />
        {shown.map((index) => {
          const row = all[index];
          if (!row) return null;
          return (
            <tr
              key={row.id}
              ref={inSight && window.measureElement}
              data-index={index}
              className={clsx("obj-row", row.id === here && "sel")}
              onPointerEnter={enter && (() => enter(row.id))}
              onFocus={enter && (() => enter(row.id))}
            >
              {columns.map(({ id, className, cell }) => (
                <td key={id} className={className}>
                  {cell(row.original)}
                </td>
              ))}
            </tr>
          );
        })}
        <Gap px={after} columns={columns.length} />
      </tbody>
    </table>
  );
}

/** Room for the rows that are not drawn. */
function Gap({ px, columns }: { px: number; columns: number }) {
  if (px <= 0) return null;
  return (
    <tr>
      <td colSpan={columns} style={{ height: px, padding: 0, border: 0 }} />
    </tr>
  );
}

function defOf<Row extends object>({ id, head, compare }: Column<Row>): ColumnDef<typeof features, Row> {
  return {
    id,
    header: head,
    accessorFn: (row: Row) => row,
    enableSorting: compare !== undefined,
    sortDescFirst: false,
    ...(compare ? { sortFn: (a, b) => compare(a.original, b.original) } : {}),
  };
}
