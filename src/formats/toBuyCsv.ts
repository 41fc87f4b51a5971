import { stringify } from "csv-stringify/sync";
import type { ToBuy } from "@/core/views/week/toBuy";

/** What has to be bought as CSV (RFC 4180); words that a spreadsheet would take for a formula are made harmless. Grams, €, ISO times. */
export function writeToBuyCsv(rows: readonly ToBuy[]): string {
  return stringify(
    rows.map(({ class: of, name, takes_g, here_g, missing_g, eur, needed, wanted_by }) => ({
      material: name,
      class: of,
      takes_g: takes_g.toFixed(2),
      here_g: here_g.toFixed(2),
      missing_g: missing_g.toFixed(2),
      eur_low: eur[0].toFixed(2),
      eur_high: eur[1].toFixed(2),
      needed: needed === undefined ? "" : new Date(needed).toISOString(),
      wanted_by: wanted_by.join("; "),
    })),
    { header: true, record_delimiter: "windows", escape_formulas: true },
  );
}
