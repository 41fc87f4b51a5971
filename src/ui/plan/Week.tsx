import type { PieceKind } from "@/core/catalogue";
import { formatMinutes } from "@/core/units";
import type { DrawnRow, WeekView } from "@/core/views/week/weekView";
import { Link } from "../frame/Link";
import { PieceIcon } from "../signs/PieceIcon";
import { Sign } from "../signs/Sign";

const pct = (share: number) => `${(share * 100).toFixed(2)}%`;

/** The week: a row a piece, black blocks hands, hatched waits, amber windows; nights folded; the load of the hands; why it is so. */
export function Week({ view, bound }: { view: WeekView; bound: string }) {
  const { clashes, why, rows } = view;
  return (
    <div className="grid gap-3">
      {clashes.map((text) => (
        <p key={text} className="border-2 border-minium bg-panel px-4 py-2">
          <Sign name="never">Window missed</Sign> {text}
        </p>
      ))}
      {rows.length === 0 ? (
        <p className="py-6 text-read leading-[24px]">Nothing is planned: every open piece waits for its survey or its materials.</p>
      ) : (
        <Chart view={view} />
      )}
      <ul aria-label="Why" className="grid gap-1 border-t-2 border-ink pt-2">
        {why.map((text, i) => (
          <li key={text} className={i === 0 ? "text-read font-semibold" : ""}>
            {text}
          </li>
        ))}
        <li className="sub">
          {bound} Hands at the middle of their range, waits at their longest that makers give, in the air of now; what is done otherwise is
          planned anew.
        </li>
      </ul>
    </div>
  );
}

function Chart({ view }: { view: WeekView }) {
  return (
    <div className="week">
      <div className="week-row week-head">
        <span className="sub">piece, next act</span>
        <div className="week-lane">
          {view.stretches.map(
            ({ label, left }) =>
              label && (
                <b key={left} className="absolute top-0" style={{ left: pct(left) }}>
                  {label}
                </b>
              ),
          )}
        </div>
        <span className="week-end sub">
          <span>ready on</span>
          <span>promised</span>
          <span className="text-right">slack</span>
        </span>
      </div>
      {view.rows.map((row) => (
        <WeekRow key={row.treatment} row={row} view={view} />
      ))}
      <div className="week-row border-t-2 border-ink">
        <b>Hands</b>
        <div className="week-lane">
          {view.loads.map(({ label, left, right, taken, there }) => (
            <span key={label} className="absolute inset-y-0 grid content-center" style={{ left: pct(left), width: pct(right - left) }}>
              <span className="block h-[10px] border border-ink">
                <span className="block h-full bg-ink" style={{ width: pct(Math.min(1, there > 0 ? taken / there : 1)) }} />
              </span>
              <span className="sub one-line">
                <b>{formatMinutes(taken)}</b> of {formatMinutes(there)}
              </span>
            </span>
          ))}
        </div>
      </div>
    </div>
  );
}

function WeekRow({ row, view }: { row: DrawnRow; view: WeekView }) {
  const { treatment, piece, title, kind, next, blocks, waits, ready, promised, slack_days } = row;
  return (
    <div className="week-row">
      <Link href={`/treatments/${treatment}`} className="grid min-h-[44px] grid-cols-[34px_minmax(0,1fr)] items-center gap-2">
        <PieceIcon kind={kind as PieceKind} />
        <span className="min-w-0">
          <b className="one-line block leading-[18px]">
            {piece}, {title}
          </b>
          <span className="sub one-line block">{next}</span>
        </span>
      </Link>
      <div className="week-lane">
        {view.stretches.map(({ left, right, label }) =>
          label ? null : <span key={left} className="week-night" style={{ left: pct(left), width: pct(right - left) }} />,
        )}
        {waits.map(({ key, left, wide, label, words, window }) => (
          <span key={key}>
            <span className="week-wait" style={{ left: pct(left), width: pct(wide) }} title={words}>
              {wide > 0.05 && <span className="bg-panel px-1">{label}</span>}
            </span>
            {window && (
              <span
                className={`week-window ${window.missed ? "missed" : ""}`}
                style={{ left: pct(window.left), width: pct(Math.max(0.002, window.wide)) }}
                title={window.missed ? "window, missed" : "window"}
              />
            )}
          </span>
        ))}
        {blocks.map(({ id, station, left, wide, words }) => (
          <Link
            key={id}
            href={`/treatments/${treatment}/${station}#${id}`}
            className="week-block"
            style={{ left: pct(left), width: `max(5px, ${pct(wide)})` }}
            title={words}
            aria-label={words}
          />
        ))}
        <span className="week-now" style={{ left: pct(view.now) }} />
      </div>
      <span className="week-end">
        <b>{ready}</b>
        <span>{promised}</span>
        <Slack days={slack_days} />
      </span>
    </div>
  );
}

function Slack({ days }: { days: number | undefined }) {
  if (days === undefined) return <span />;
  const words = formatMinutes(Math.abs(days) * 1440);
  if (days < 0) return <Sign name="never">{words} late</Sign>;
  return days < 2 ? <Sign name="soon">{words}</Sign> : <b className="text-right">{words}</b>;
}
