import { GROUP_LABELS, type MaterialClass } from "@/core/catalogue";
import { formatGrams, inSentence } from "@/core/units";
import type { ProductRow } from "@/core/views/cabinetRows";
import { rowOf } from "@/core/views/stock";
import { figuresOf, rangeWords } from "./productForm";

const WATER = { stands: "may be washed", splash: "wipe only", no: "must stay dry" } as const;
const BACK = { easy: "easily", effort: "with effort", no: "no" } as const;

const PROPERTIES: ReadonlyArray<readonly [label: string, of: (row: MaterialClass) => string]> = [
  ["Shelf", (row) => GROUP_LABELS[row.group]],
  ["Holds firmly on", (row) => familiesOf(row, "firm")],
  ["Holds fairly on", (row) => familiesOf(row, "fair") || "–"],
  ["Rigidity", (row) => row.rigidity],
  ["Strength", (row) => row.strength],
  ["Hardness, 1 leather to 5 glaze", (row) => String(row.hardness)],
  ["Water", (row) => WATER[row.water]],
  ["Outdoors", (row) => (row.outdoor ? "yes" : "no")],
  ["Takes stain", (row) => (row.takes_stain ? "yes" : "no")],
  ["Comes out again", (row) => `${BACK[row.reversible.grade]}: ${row.reversible.by}`],
  ["Carries into its surroundings", (row) => row.carrier],
  ["Food", (row) => row.food],
];

function familiesOf({ bonds }: MaterialClass, grade: "firm" | "fair"): string {
  return Object.entries(bonds)
    .filter(([, held]) => held === grade)
    .map(([family]) => family)
    .join(", ");
}

interface Props {
  readonly rows: readonly ProductRow[];
  readonly drop: (id: string) => void;
  readonly clear: () => void;
}

/** Up to four products side by side, by the same figures; what differs stands out. */
export function Compare({ rows, drop, clear }: Props) {
  const materials = rows.map(({ product }) => rowOf(product));
  const figures = figuresOf(rows[0]?.product.class ?? "pva").filter(({ of }) => materials.some((row) => of(row) !== undefined));
  const lines: ReadonlyArray<readonly [label: string, cells: readonly string[]]> = [
    ["Left", rows.map(({ left_g }) => formatGrams(left_g))],
    ...figures.map(({ label, unit, of, digits }) => [`${label}, ${unit}`, materials.map((row) => cell(of(row), digits))] as const),
    ...PROPERTIES.map(([label, of]) => [label, materials.map(of)] as const),
  ];
  return (
    <section aria-label="Compared" className="compare">
      <table className="lst">
        <thead>
          <tr>
            <th>
              <button type="button" className="link-btn" onClick={clear}>
                Stop comparing
              </button>
            </th>
            {rows.map(({ product, class_name }) => (
              <th key={product.id}>
                <b className="clamp-3 text-body text-ink">{product.name}</b>
                <span className="sub block">{inSentence(class_name)}</span>
                <button
                  type="button"
                  className="link-btn"
                  onClick={() => drop(product.id)}
                  aria-label={`Drop ${product.name} from the comparison`}
                >
                  Drop
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(([label, cells]) => (
            <tr key={label} className={new Set(cells).size > 1 ? "differs" : ""}>
              <th scope="row">{label}</th>
              {cells.map((text, i) => (
                <td key={rows[i]?.product.id}>{text}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length < 2 && <p className="dim">Tick one to three more in the list.</p>}
    </section>
  );
}

function cell(range: readonly [number, number] | undefined, digits: number): string {
  return range === undefined ? "–" : rangeWords(range, digits);
}
