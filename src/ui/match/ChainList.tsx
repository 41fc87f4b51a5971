import type { Role } from "@/core/catalogue";
import type { ChainRow } from "@/core/views/desk/links";
import { Sign, type SignName, SignShape } from "../signs/Sign";

const SIGNS: Readonly<Record<ChainRow["state"], readonly [sign: SignName, word: string]>> = {
  fits: ["done", "Fits"],
  condition: ["done", "Fits if"],
  against: ["never", "Against the rules"],
  clash: ["never", "Clash"],
  open: ["to-come", "Open"],
};

interface Props {
  readonly rows: readonly ChainRow[];
  readonly shown: Role;
  readonly open: (role: Role) => void;
}

/** The chain as one line through the list; the link that is open is the card. */
export function ChainList({ rows, shown, open }: Props) {
  return (
    <ol aria-label="Links of the chain">
      {rows.map((row) => (row.role === shown ? <LinkCard key={row.role} row={row} /> : <LinkRow key={row.role} row={row} open={open} />))}
    </ol>
  );
}

function LinkCard({ row: { label, name, line, rank, state } }: { row: ChainRow }) {
  const [sign, word] = SIGNS[state];
  return (
    <li className="task-card op-card" data-sign={sign === "never" ? "never" : "go"} aria-current="true">
      <div className="grid gap-[6px] pb-2">
        <p className="flex justify-between gap-3">
          <span className="dim">{label}</span>
          {rank && <span>{rank}</span>}
        </p>
        <h3 className="text-head leading-[28px] font-bold [font-stretch:92%] wrap-anywhere">{name ?? "Choose one"}</h3>
        <p className="leading-[19px]">
          <Sign name={sign}>{word}:</Sign> {line.replace(/^Fits if /, "")}
        </p>
      </div>
    </li>
  );
}

function LinkRow({ row: { role, label, name, line, state }, open }: { row: ChainRow; open: (role: Role) => void }) {
  const [sign, word] = SIGNS[state];
  return (
    <li className="mx-5 border-b border-ash-deep">
      <button
        type="button"
        className="grid min-h-[44px] w-full grid-cols-[24px_minmax(0,1fr)] items-center py-1 text-left max-[1100px]:min-h-[60px]"
        onClick={() => open(role)}
      >
        <span className={`sign-${sign}`} title={word}>
          <SignShape name={sign} />
        </span>
        <span className="min-w-0">
          <span className="one-line block leading-[18px]">
            {label} <b>{name ?? "open"}</b>
          </span>
          <span className="sub one-line block leading-[16px]">{line}</span>
        </span>
      </button>
    </li>
  );
}
