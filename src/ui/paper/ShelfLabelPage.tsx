import type { BriefAct } from "@/core/views/brief";
import { Code } from "./Code";
import { PrintBar } from "./PrintBar";
import "./paper.css";

interface Props {
  readonly treatment: string;
  readonly piece: string;
  readonly mark: string;
  /** Stuff and place that must not be touched; absent = nothing cures. */
  readonly waits?: Pick<BriefAct, "material" | "title"> | undefined;
  /** `Thu 15:31`: until when, and until when what comes then may be done. */
  readonly until: string;
  readonly then_until: string;
}

/** The label that stands at a piece on the shelf, 62 × 29 mm: hands off until when, and what comes then. */
export function ShelfLabelPage({ treatment, piece, mark, waits, until, then_until }: Props) {
  return (
    <main className="label-paper mx-auto w-[62mm] py-6 print:p-0">
      <PrintBar label="Print the label" links={[[`/treatments/${treatment}`, "Back to the bench"]]} />
      <article className="grid h-[29mm] w-[62mm] grid-cols-[minmax(0,1fr)_22mm] overflow-hidden bg-white p-[1.5mm] text-boneblack">
        <div className="min-w-0 leading-none">
          <h1 className="truncate text-note leading-4 font-bold">{piece}</h1>
          {waits ? (
            <>
              <p className="text-note leading-4">Hands off until</p>
              <p className="text-head leading-[30px] font-extrabold [font-stretch:86%]">{until}</p>
              <p className="line-clamp-2 text-note leading-[14px]">
                {waits.material ? `${waits.material}, then ` : "then "}
                {waits.title.charAt(0).toLowerCase() + waits.title.slice(1)}
                {then_until && `, till ${then_until}`}
              </p>
            </>
          ) : (
            <p className="text-small leading-5">No clock runs. Look at its record before you touch it.</p>
          )}
        </div>
        <div className="grid justify-items-center">
          <Code mark={mark} className="size-[20mm]" />
          <p className="max-w-full truncate text-note leading-[14px]">{mark}</p>
        </div>
      </article>
    </main>
  );
}
