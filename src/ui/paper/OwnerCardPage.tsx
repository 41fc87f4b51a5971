import type { OwnerCard } from "@/core/views/ownerCard";
import { SignShape } from "../signs/Sign";
import { Code } from "./Code";
import { PrintBar } from "./PrintBar";
import "./paper.css";

interface Props {
  readonly treatment: string;
  readonly piece: string;
  readonly mark: string;
  /** `mended 7 Oct to 14 Oct 2026`, or that it is still open. */
  readonly when: string;
  readonly photograph?: { readonly id: string; readonly caption: string } | undefined;
  readonly card: OwnerCard;
  readonly shop: { readonly name: string; readonly people: readonly string[]; readonly hours: string };
  /** Nothing is promised by a card that is not signed. */
  readonly signed: boolean;
}

/** The owner's card on A5: what was done, what may be done with it and from when, whom to ask. */
export function OwnerCardPage({ treatment, piece, mark, when, photograph, card, shop, signed }: Props) {
  return (
    <main className="owner-card mx-auto max-w-[128mm] bg-white px-4 py-6 text-read leading-6 text-boneblack print:p-0">
      <PrintBar label="Print on A5" links={[[`/treatments/${treatment}/close`, "Back to Close"]]} />
      <header className="border-b-2 border-boneblack pb-2">
        <p className="font-semibold wrap-anywhere">{shop.name}</p>
        <h1 className="text-big leading-[38px] font-extrabold wrap-anywhere">Your {piece.charAt(0).toLowerCase() + piece.slice(1)}</h1>
        <p className="text-small wrap-anywhere">
          {mark} · {when}
        </p>
      </header>
      {!signed && (
        <p className="mt-3 flex items-center gap-2 font-semibold">
          <SignShape name="off" /> Not signed yet: nothing is promised by this card.
        </p>
      )}
      <div className={`mt-4 ${photograph ? "grid grid-cols-[45mm_minmax(0,1fr)] gap-4" : ""}`}>
        {photograph && (
          <img
            src={`/api/photographs/${photograph.id}`}
            alt={photograph.caption}
            className="aspect-4/3 w-full border border-boneblack object-cover grayscale"
          />
        )}
        <div className="grid content-start gap-2">
          {card.sentences.map((each) => (
            <p key={each} className="wrap-anywhere">
              {each}
            </p>
          ))}
        </div>
      </div>
      <dl className="mt-4 grid grid-cols-[38mm_minmax(0,1fr)] border-t border-boneblack">
        {card.rows.map(({ when: kind, from, acts }) => (
          <div key={kind} className="contents">
            <dt className={`flex items-center gap-2 border-b border-ash-deep py-2 pr-3 font-bold ${kind === "never" ? "text-minium" : ""}`}>
              {kind === "never" && <SignShape name="never" />}
              {from}
            </dt>
            <dd className="border-b border-ash-deep py-2">{acts.join(" ")}</dd>
          </div>
        ))}
      </dl>
      <section className="mt-4">
        <h2>Care</h2>
        <p>If a line opens, an edge lifts or a colour changes, leave it alone and bring it in.</p>
      </section>
      <footer className="mt-6 flex items-center gap-4 border-t border-boneblack pt-4">
        <Code mark={mark} className="size-[26mm] flex-none" />
        <div className="min-w-0">
          <p className="font-bold wrap-anywhere">Ask {shop.people.length > 0 ? shop.people.join(" or ") : "the workshop"}</p>
          <p className="wrap-anywhere">{shop.name}</p>
          <p>{shop.hours}</p>
          <p className="text-note">The code holds the mark {mark}: show it and we have the record.</p>
        </div>
      </footer>
    </main>
  );
}
