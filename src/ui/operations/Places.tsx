"use client";
import { stationLabel } from "@/core/catalogue";
import { counted } from "@/core/units";
import type { PlaceView } from "@/core/views/operationView";

interface Props {
  readonly places: readonly PlaceView[];
  /** They are of more than one damage. */
  readonly several: boolean;
  readonly chosen: ReadonlySet<string>;
  readonly choose: (places: ReadonlySet<string>) => void;
}

/** So many damages stand as tokens; more fold into one press. */
const TOKENS = 3;

interface Token {
  readonly number: number;
  readonly ids: readonly string[];
  readonly words: string;
}

/** One token a damage, with every place of it. */
function tokensOf(listed: readonly PlaceView[]): Token[] {
  const numbers = [...new Set(listed.map(({ number }) => number))].sort((a, b) => a - b);
  return numbers.map((number) => {
    const mine = listed.filter((place) => place.number === number);
    return {
      number,
      ids: mine.map(({ id }) => id),
      words: mine.map(({ label, size }) => [label, size].filter(Boolean).join(", ")).join("; "),
    };
  });
}

/** The places of the treatment in the head of the list: press one to see what is done with it alone. */
export function Places({ places, several, chosen, choose }: Props) {
  const listed = places.filter(({ kind }) => kind !== "core");
  if (listed.length < 3 && !several) return null;
  const tokens = tokensOf(listed);
  if (several && tokens.length <= TOKENS) return <Tokens tokens={tokens} chosen={chosen} choose={choose} />;
  return <Listed listed={listed} chosen={chosen} choose={choose} />;
}

function Tokens({ tokens, chosen, choose }: Pick<Props, "chosen" | "choose"> & { tokens: readonly Token[] }) {
  const isOn = ({ ids }: Token) => ids.every((id) => chosen.has(id));
  const toggle = (token: Token) =>
    choose(new Set(isOn(token) ? [...chosen].filter((id) => !token.ids.includes(id)) : [...chosen, ...token.ids]));
  return (
    <fieldset className="flex items-center">
      <legend className="visually-hidden">Places</legend>
      {tokens.map((token) => (
        <button
          key={token.number}
          type="button"
          className="grid size-[44px] place-items-center"
          aria-pressed={isOn(token)}
          aria-label={`${token.number} ${token.words}`}
          title={token.words}
          onClick={() => toggle(token)}
        >
          <span className={`tok ${isOn(token) ? "on" : ""}`}>{token.number}</span>
        </button>
      ))}
    </fieldset>
  );
}

function Listed({ listed, chosen, choose }: Pick<Props, "chosen" | "choose"> & { listed: readonly PlaceView[] }) {
  const toggle = (id: string) => choose(new Set(chosen.has(id) ? [...chosen].filter((each) => each !== id) : [...chosen, id]));
  const shown = listed.filter(({ id }) => chosen.has(id));
  return (
    <details className="open:order-last open:w-full">
      <summary className="link-btn inline-flex cursor-pointer items-center">
        {shown.length === 0 ? counted(listed.length, "place") : shown.map(({ label }) => label).join(", ")}
      </summary>
      <section aria-label="Places" className="max-h-[220px] overflow-auto pb-2">
        {shown.length > 0 && (
          <button type="button" className="link-btn" onClick={() => choose(new Set())}>
            Show all
          </button>
        )}
        {listed.map(({ id, number, label, size, station, round }) => (
          <button key={id} type="button" className="pl" aria-pressed={chosen.has(id)} onClick={() => toggle(id)}>
            <span className={`tok ${chosen.has(id) ? "on" : ""}`}>{number}</span>
            <span className="min-w-0">
              <b className="clamp-3">{label}</b>
              <small>{[size, round > 1 ? `round ${round}` : ""].filter(Boolean).join(", ")}</small>
            </span>
            <span className="sub">{stationLabel(station).toLowerCase()}</span>
          </button>
        ))}
      </section>
    </details>
  );
}
