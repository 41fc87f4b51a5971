import { LIMITS, type SheetRow, type WorkSheet } from "@/core/plan/workSheet";
import { Link } from "../frame/Link";
import { PrintBar } from "../paper/PrintBar";
import { SignShape } from "../signs/Sign";
import "../record/record.css";

interface Props {
  readonly treatment: string;
  readonly title: string;
  readonly reference: string;
  /** Absent = its materials are not chosen yet. */
  readonly sheet?: WorkSheet | undefined;
  /** `Wed 7 Oct 2026, 14:05`: when it was planned. */
  readonly planned: string;
  /** The shop and the air it was reckoned in. */
  readonly foot: string;
}

/** The work sheet on A4, to be hung at the bench: what to have ready, then by the clock, with a box at everything that is done. */
export function WorkSheetPage({ treatment, title, reference, sheet, planned, foot }: Props) {
  return (
    <main className="sheet">
      <PrintBar
        links={[
          [`/treatments/${treatment}/written-up`, "Write up what is ticked"],
          [`/treatments/${treatment}`, "Back to the bench"],
        ]}
      />
      <header>
        <p className="sheet-kind">Work sheet</p>
        <h1>{title}</h1>
        <p>{reference}</p>
      </header>
      {sheet?.stop && <Stop {...sheet.stop} />}
      {sheet && !sheet.stop && <Body sheet={sheet} />}
      {!sheet && (
        <p className="mt-6">
          Nothing is planned yet.{" "}
          <Link className="link-btn" href={`/treatments/${treatment}/match`}>
            Choose the materials first
          </Link>
        </p>
      )}
      <footer className="sheet-foot">
        <p>{LIMITS}</p>
        <p>
          {foot}
          {foot && " · "}planned {planned}
        </p>
      </footer>
    </main>
  );
}

function Stop({ because, choose }: NonNullable<WorkSheet["stop"]>) {
  return (
    <section className="border-2 border-ink p-4 text-read leading-6">
      <h2 className="flex items-center gap-2">
        <SignShape name="never" /> Stop
      </h2>
      {because.map((message) => (
        <p key={message} className="mt-2">
          {message}
        </p>
      ))}
      <p className="mt-3 font-semibold">Choose</p>
      <ul className="list-disc pl-5">
        {choose.map((each) => (
          <li key={each}>{each}</li>
        ))}
      </ul>
      <p className="mt-3">Nothing is begun before that.</p>
    </section>
  );
}

function Body({ sheet: { heads, minds, sums, have_ready, rows, owner } }: { sheet: WorkSheet }) {
  return (
    <>
      <ul className="mt-3">
        {heads.map(({ tag, words }) => (
          <li key={tag}>
            {tag && <b>{tag} </b>}
            {words}
          </li>
        ))}
      </ul>
      {minds.map((message) => (
        <p key={message} className="mt-3 border-l-[3px] border-ink pl-3">
          <b>Mind:</b> {message}
        </p>
      ))}
      <p className="mt-2">{sums}</p>
      <section>
        <h2>Have ready</h2>
        <ul className="mt-2 columns-3 gap-6 max-sm:columns-1">
          {have_ready.map((each) => (
            <li key={each} className="flex break-inside-avoid items-baseline gap-2 py-0.5">
              <Box />
              <span className="min-w-0">{each}</span>
            </li>
          ))}
        </ul>
      </section>
      {rows.length === 0 && <p className="mt-6">Nothing is left to do but to sign it.</p>}
      {daysOf(rows).map(([day, here]) => (
        <section key={day}>
          <h2>{day}</h2>
          <ol>
            {here.map((row) => (
              <Row key={`${row.hour} ${row.lines[0]?.text}`} row={row} />
            ))}
          </ol>
        </section>
      ))}
      <section className="break-inside-avoid">
        <h2>For the owner</h2>
        {owner.map(({ when, words }) => (
          <p key={when} className="mt-1">
            <b>{capital(when)}:</b> {words}.
          </p>
        ))}
      </section>
    </>
  );
}

/** A row that begins no day belongs to the one before it. */
function daysOf(rows: readonly SheetRow[]): ReadonlyArray<readonly [day: string, rows: readonly SheetRow[]]> {
  const days: Array<[string, SheetRow[]]> = [];
  for (const row of rows) {
    const last = days.at(-1);
    if (row.day !== undefined || !last) days.push([row.day ?? "", [row]]);
    else last[1].push(row);
  }
  return days;
}

function Row({ row: { hour, lines, took, guards } }: { row: SheetRow }) {
  return (
    <li className="grid grid-cols-[3.25rem_minmax(0,1fr)_4.5rem] gap-x-3 border-b border-ash py-2 print:break-inside-avoid print:py-1">
      <b className="text-read">{hour}</b>
      <div className="grid gap-1 print:gap-0">
        {lines.map(({ text, box }) =>
          box ? (
            <p key={text} className="flex items-baseline gap-2 text-read leading-[21px] print:text-body print:leading-[18px]">
              <Box />
              <span className="min-w-0">{text}</span>
            </p>
          ) : (
            <p key={text} className="dim">
              {text}
            </p>
          ),
        )}
        {guards.length > 0 && (
          <p className="flex items-center gap-2 font-semibold">
            <SignShape name="soon" /> {guards.map(capital).join(" · ")}
          </p>
        )}
      </div>
      <span className="text-right">{took}</span>
    </li>
  );
}

/** A box to tick by hand. */
const Box = () => <span aria-hidden className="inline-block size-3.5 flex-none translate-y-0.5 border-[1.5px] border-ink" />;
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
