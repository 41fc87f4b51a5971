import type { Cut } from "@/core/views/cut";
import { HatchSwatch } from "../signs/Hatches";
import { lineDash, lineWords } from "./Section";

/** What each hatch and each line of a cut means. */
export function Legend({ cut: { scene, substrate, hatch, layers } }: { cut: Cut }) {
  const words = lineWords(scene);
  const kinds = [...new Set(scene.lines.map(({ kind }) => kind))];
  const hatches = [[hatch, substrate] as const, ...layers.map((layer) => [layer.hatch, `${layer.name}, ${layer.material}`] as const)];
  return (
    <ul aria-label="Legend" className="section-legend">
      {hatches.map(([of, name]) => (
        <li key={name}>
          <HatchSwatch hatch={of} size={30} /> {name}
        </li>
      ))}
      {kinds.map((kind) => (
        <li key={kind}>
          <svg width="30" height="12" aria-hidden="true">
            <path d="M0 6H30" fill="none" stroke="currentColor" strokeWidth={lineDash(kind).width} strokeDasharray={lineDash(kind).dash} />
          </svg>{" "}
          {words[kind]}
        </li>
      ))}
    </ul>
  );
}
