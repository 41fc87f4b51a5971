"use client";
import { useState } from "react";
import { stationLabel } from "@/core/catalogue";
import { doseGrams, typedTime } from "@/core/units";
import { minutesOf, type PlacedRow } from "@/core/views/writtenUp";
import { useWall } from "../frame/now";
import { isMeasured } from "../operations/doDraft";
import { Tokens } from "../operations/Tokens";
import { type SignName, SignShape } from "../signs/Sign";
import type { UpDraft } from "./upEntries";

interface Props {
  readonly placed: PlacedRow;
  readonly draft: UpDraft | undefined;
  readonly now: number;
  readonly several: boolean;
  /** It goes up with the next press. */
  readonly goes: boolean;
  /** Why the record would not take it. */
  readonly refused: string | undefined;
  readonly change: (to: Partial<UpDraft>) => void;
  readonly putBack: () => void;
  /** Done, or not done yet. */
  readonly toggle: () => void;
}

const SIGNS: Readonly<Record<PlacedRow["state"], SignName>> = {
  fits: "done",
  "left-out": "to-come",
  "to-come": "to-come",
  "not-yet": "to-come",
  "too-early": "never",
  "too-late": "never",
  blocked: "never",
  unreadable: "never",
};
const SAYS: Partial<Readonly<Record<PlacedRow["state"], string>>> = {
  "too-early": "Too early",
  "too-late": "Too late",
  blocked: "Out of order",
  unreadable: "Can’t be read",
};

/** One act of the day: when it was done, how long it took, what was found; or why it was left out. */
export function UpRowView(props: Props) {
  const { placed, draft, several, goes, refused, change, putBack } = props;
  const { row, state } = placed;
  const { id, title, tokens, station, text } = row.operation;
  const out = state === "left-out";
  const wrong = SAYS[state] !== undefined || refused !== undefined;
  return (
    <li id={id} className={`up-row ${wrong ? "bg-minium-wash" : ""}`} data-state={refused ? "refused" : state} data-goes={goes}>
      <Tick {...props} />
      {out ? <span className="up-out dim">left out</span> : <TimeField {...props} />}
      {out ? <span /> : <TookField {...props} />}
      <p className="up-what min-w-0 self-center text-read leading-[20px]">
        <Tokens of={tokens} several={several} /> <b title={text}>{title}</b>
        {state === "not-yet" && " not done yet"} <span className="sub">{stationLabel(station)}</span>
        <span className="visually-hidden">{goes ? ", goes up" : ", stays open"}</span>
      </p>
      {out ? (
        <input
          className="txt"
          aria-label={`Why left out: ${title}`}
          placeholder="why: the record keeps it"
          value={draft?.left_out ?? ""}
          maxLength={2000}
          onChange={(event) => change({ left_out: event.target.value })}
        />
      ) : (
        <FoundField {...props} />
      )}
      <button
        type="button"
        className="link-btn"
        onClick={() => (out ? putBack() : change({ left_out: "" }))}
        aria-label={`${out ? "Put back" : "Leave out"}: ${title}`}
      >
        {out ? "Put back" : "Leave out"}
      </button>
      {wrong && <Wrong {...props} />}
      {state === "to-come" && placed.because && <p className="sub col-span-full">{sentence(placed.because)}</p>}
    </li>
  );
}

function Tick({ placed: { row, state }, refused, toggle }: Props) {
  const off = state === "left-out" || state === "to-come" || state === "not-yet";
  return (
    <button
      type="button"
      className={`up-tick ${off || SIGNS[state] !== "never" ? "" : "text-minium"}`}
      disabled={state === "left-out" || state === "to-come"}
      aria-pressed={!off}
      aria-label={`Done: ${row.operation.title}`}
      title={off ? "Not done yet" : "Done"}
      onClick={toggle}
    >
      <SignShape name={refused ? "never" : SIGNS[state]} size={18} />
    </button>
  );
}

const sentence = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;

type Field = Pick<Props, "placed" | "draft" | "change">;

/** Enter goes on to the next row’s time, as down a column. */
const onEnter = (event: React.KeyboardEvent<HTMLInputElement>) => {
  if (event.key !== "Enter" || event.ctrlKey || event.metaKey) return;
  event.preventDefault();
  const all = [...document.querySelectorAll<HTMLInputElement>("input[data-up-time]")];
  all[all.indexOf(event.currentTarget) + 1]?.focus();
};

function TimeField({ placed: { row, at, state, because }, draft, now, change }: Field & { now: number }) {
  const wall = useWall();
  const typed = draft?.at ?? "";
  return (
    <span className="up-time">
      <input
        className={`txt ${typed === "" ? "" : "font-bold"}`}
        data-up-time
        aria-label={`Done at: ${row.operation.title}`}
        aria-invalid={state === "unreadable" ? true : undefined}
        placeholder={at === undefined ? "not yet" : typedTime(at, { now, wall })}
        title={state === "fits" ? because : undefined}
        value={typed}
        maxLength={60}
        autoComplete="off"
        onChange={(event) => change({ at: event.target.value })}
        onKeyDown={onEnter}
      />
      {typed.trim().startsWith("+") && at !== undefined && <small aria-live="polite">{wall.when(at, now)}</small>}
    </span>
  );
}

function TookField({ placed: { row }, draft, change }: Field) {
  return (
    <label className="up-took">
      <input
        className="txt"
        inputMode="decimal"
        aria-label={`Minutes it took: ${row.operation.title}`}
        placeholder={String(minutesOf(row, ""))}
        value={draft?.took ?? ""}
        maxLength={6}
        onChange={(event) => change({ took: event.target.value })}
      />
      <span className="unit">min</span>
    </label>
  );
}

function FoundField({ placed: { row }, draft, change }: Field) {
  const { operation } = row;
  const grams = operation.batch?.whole_g ?? operation.mass_g;
  return (
    <input
      className="txt"
      aria-label={`Found: ${operation.title}`}
      placeholder={
        operation.start && grams !== undefined
          ? `as planned, ${doseGrams(grams)}`
          : isMeasured(operation)
            ? "found, or low 0.3 mm"
            : "found …"
      }
      value={draft?.found ?? ""}
      maxLength={500}
      onChange={(event) => change({ found: event.target.value })}
    />
  );
}

/** Why it does not fit, the time that would, and the field for the reason, right there. */
function Wrong({ placed: { row, state, because, fits_at, at }, draft, refused, change }: Field & Pick<Props, "refused">) {
  const wall = useWall();
  const [says, setSays] = useState(false);
  const { title } = row.operation;
  const reason = draft?.because ?? "";
  const possible = state !== "unreadable";
  return (
    <div className="col-span-full flex flex-wrap items-center gap-x-4 gap-y-1 pb-1 pl-9" role="alert">
      <p>
        <b className="text-minium">{refused ? "Not kept" : SAYS[state]}:</b> {refused ?? because}
        {refused || fits_at === undefined ? "" : `, ${state === "too-late" ? "until" : "from"} ${wall.when(fits_at, at ?? fits_at)}`}
      </p>
      {!refused && fits_at !== undefined && (
        <button
          type="button"
          className="link-btn"
          onClick={() =>
            change({
              at: typedTime(state !== "too-late" ? Math.ceil(fits_at / 60_000) * 60_000 : Math.floor(fits_at / 60_000) * 60_000, {
                now: at ?? fits_at,
                wall,
              }).replace("today ", ""),
            })
          }
        >
          Done {wall.when(fits_at, at ?? fits_at)}
        </button>
      )}
      {possible && !says && reason === "" && (
        <button type="button" className="link-btn" onClick={() => setSays(true)} aria-label={`It was so, say why: ${title}`}>
          It was so: say why
        </button>
      )}
      {possible && (says || reason !== "") && (
        <input
          className="txt max-w-[420px] flex-1"
          aria-label={`Why it was done all the same: ${title}`}
          placeholder="why it was done all the same"
          value={reason}
          maxLength={2000}
          onChange={(event) => change({ because: event.target.value })}
        />
      )}
    </div>
  );
}
