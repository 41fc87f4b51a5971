"use client";
import { type PointerEvent, useEffect, useRef, useState } from "react";
import { CARDS, type Card, type CardReading, type Pixel, readByCard } from "@/core/colour/greyCard";
import type { Lab } from "@/core/colour/spectrum";
import { plain } from "@/core/units";
import { Segmented } from "../forms/Segmented";
import { Sign } from "../signs/Sign";
import { labWords, Patch } from "./ColourField";

interface Spot {
  readonly x: number;
  readonly y: number;
}
type Which = "card" | "colour";
type Spots = Readonly<Record<Which, Spot>>;

const WIDE = 560;
/** Half the side of a spot, as a share of the picture's width. */
const HALF = 0.018;
const START: Spots = { card: { x: 0.2, y: 0.5 }, colour: { x: 0.7, y: 0.5 } };

/** A colour off a photograph with a card in it: the photograph stays on this device. */
export function GreyCard({ use }: { use: (lab: Lab) => void }) {
  const [picture, setPicture] = useState<ImageBitmap>();
  const [trouble, setTrouble] = useState("");
  const open = async (file: File | undefined) => {
    setTrouble("");
    if (!file) return;
    try {
      setPicture(await createImageBitmap(file));
    } catch {
      setTrouble("This is no picture that the browser can read: take a JPEG, PNG or WebP.");
    }
  };
  return (
    <details>
      <summary className="link-btn inline-flex cursor-pointer items-center">From a photograph with a grey card</summary>
      <div className="grid gap-3 pt-2">
        <label className="txt-label">
          Photograph, card and piece in the same light
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            className="txt"
            onChange={(event) => void open(event.target.files?.[0])}
          />
        </label>
        <p className="sub">It stays on this device; nothing is uploaded.</p>
        {trouble !== "" && (
          <p role="alert" className="wrong-note">
            {trouble}
          </p>
        )}
        {picture && <Picked picture={picture} use={use} />}
      </div>
    </details>
  );
}

/** Two spots on the picture, moved by a press or by the sliders, and the colour that follows from them. */
function Picked({ picture, use }: { picture: ImageBitmap; use: (lab: Lab) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [card, setCard] = useState<Card>("grey");
  const [which, setWhich] = useState<Which>("card");
  const [spots, setSpots] = useState<Spots>(START);
  const [reading, setReading] = useState<CardReading | string>();
  const tall = Math.round((picture.height / picture.width) * WIDE);
  const move = (to: Partial<Spot>) => setSpots((before) => ({ ...before, [which]: { ...before[which], ...to } }));
  useEffect(() => {
    const paper = canvas.current?.getContext("2d", { willReadFrequently: true });
    if (!paper) return;
    paper.drawImage(picture, 0, 0, WIDE, tall);
    try {
      setReading(readByCard(pixelsAt(paper, spots.card), pixelsAt(paper, spots.colour), card));
    } catch {
      setReading("The card is black there: set its spot on the card.");
    }
    for (const each of ["card", "colour"] as const) frame(paper, spots[each], each === which);
  }, [picture, tall, spots, card, which]);
  const press = (event: PointerEvent<HTMLCanvasElement>) => {
    const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
    move({ x: (event.clientX - left) / width, y: (event.clientY - top) / height });
    if (which === "card") setWhich("colour");
  };
  return (
    <>
      <Segmented label="Card" value={card} options={CARDS.map((row) => [row.card, row.label] as const)} onChange={setCard} />
      <Segmented
        label="Spot to set"
        value={which}
        options={[
          ["card", "1 the card"],
          ["colour", "2 the colour"],
        ]}
        onChange={setWhich}
      />
      <canvas
        ref={canvas}
        width={WIDE}
        height={tall}
        className="grey-card"
        role="img"
        aria-label="The photograph with the two spots"
        onPointerDown={press}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <Slider label="From the left" value={spots[which].x} set={(x) => move({ x })} />
        <Slider label="From the top" value={spots[which].y} set={(y) => move({ y })} />
      </div>
      <div aria-live="polite">{reading !== undefined && <Read reading={reading} use={use} />}</div>
    </>
  );
}

function Read({ reading, use }: { reading: CardReading | string; use: (lab: Lab) => void }) {
  if (typeof reading === "string")
    return (
      <Sign name="never" wrap>
        {reading}
      </Sign>
    );
  return (
    <>
      <div className="colour-field">
        <Patch lab={reading.lab} large />
        <p>
          <b>{labWords(reading.lab)}</b>
          <br />
          the spot varies by {plain(reading.spread_dE, 1)} dE; a camera is off by 2 to 5 more
        </p>
      </div>
      {reading.doubts.map((doubt) => (
        <Sign key={doubt} name="soon" wrap>
          {doubt}
        </Sign>
      ))}
      <button type="button" className="btn" onClick={() => use(reading.lab)}>
        Use this colour
      </button>
    </>
  );
}

function Slider({ label, value, set }: { label: string; value: number; set: (value: number) => void }) {
  return (
    <label className="txt-label">
      {label}
      <input type="range" min="0.02" max="0.98" step="0.005" value={value} onChange={(event) => set(Number(event.target.value))} />
    </label>
  );
}

function pixelsAt(paper: CanvasRenderingContext2D, { x, y }: Spot): Pixel[] {
  const side = Math.round(WIDE * HALF * 2);
  const { data } = paper.getImageData(Math.round(x * WIDE - side / 2), Math.round(y * paper.canvas.height - side / 2), side, side);
  return Array.from({ length: data.length / 4 }, (_, i): Pixel => [data[i * 4] ?? 0, data[i * 4 + 1] ?? 0, data[i * 4 + 2] ?? 0]);
}

/** A spot is framed twice, so that it is seen on light and on dark. */
function frame(paper: CanvasRenderingContext2D, { x, y }: Spot, chosen: boolean): void {
  const half = WIDE * HALF;
  for (const [colour, out] of [
    ["#131c18", 3],
    ["#fff", 1],
  ] as const) {
    paper.strokeStyle = colour;
    paper.lineWidth = chosen ? 3 : 1.5;
    paper.strokeRect(x * WIDE - half - out, y * paper.canvas.height - half - out, 2 * (half + out), 2 * (half + out));
  }
}
