"use client";
import { type RefObject, useState } from "react";
import { Link } from "../frame/Link";
import { pngOf, saveBlob, svgFile } from "./drawingFile";

interface Props {
  readonly treatment: string;
  readonly name: string;
  readonly place: string;
  /** What holds the drawing. */
  readonly drawing: RefObject<HTMLElement | null>;
}

/** The drawing as a file, and on paper in its scale. */
export function SectionFiles({ treatment, name, place, drawing }: Props) {
  const [trouble, setTrouble] = useState("");
  const save = async (kind: "svg" | "png") => {
    const svg = drawing.current?.querySelector("svg");
    if (!svg) return;
    setTrouble("");
    try {
      const file = svgFile(svg);
      saveBlob(kind === "svg" ? new Blob([file.text], { type: "image/svg+xml" }) : await pngOf(file), `${fileName(name)}.${kind}`);
    } catch {
      setTrouble("This browser can’t make that file. Save it as SVG, or print it.");
    }
  };
  return (
    <div className="btn-row flex-wrap py-2">
      <button type="button" className="btn small" onClick={() => void save("svg")}>
        Save as SVG
      </button>
      <button type="button" className="btn small" onClick={() => void save("png")}>
        Save as PNG
      </button>
      <Link className="btn small" href={`/treatments/${treatment}/section?place=${encodeURIComponent(place)}`}>
        Print to scale
      </Link>
      {trouble !== "" && (
        <p role="alert" className="wrong-note">
          {trouble}
        </p>
      )}
    </div>
  );
}

/** @example fileName("Lemonade jar, The chip") // => "lemonade-jar-the-chip" */
const fileName = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 80) || "section";
