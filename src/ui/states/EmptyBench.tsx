"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { STATIONS } from "@/core/catalogue";
import { send } from "../forms/send";
import { Link } from "../frame/Link";
import { ImportDossier } from "../objects/ImportDossier";

/** First use: what to do, the eight open rings, one main action, a practice piece. */
export function EmptyBench() {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState("");
  const practise = async () => {
    setBusy(true);
    const sent = await send<{ treatment_id: string }>("POST", "/api/practice");
    setBusy(false);
    if (!sent.ok) setTrouble(sent.problem.detail);
    else router.push(`/treatments/${sent.value.treatment_id}/survey`);
    router.refresh();
  };
  return (
    <div className="state-page">
      <h1 className="text-big leading-[40px]">Nothing on the bench yet</h1>
      <p>Put in the first piece: what it is, what broke, in mm or inches. Three minutes. Its eight stations come from that.</p>
      <svg
        viewBox="0 0 560 54"
        className="h-auto w-full max-w-[560px]"
        role="img"
        aria-label={`Stations: ${STATIONS.map(({ label }) => label).join(", ")}`}
      >
        <path d="M0 14.500H560M0 21.500H560" className="hairline" strokeWidth="1.4" />
        {STATIONS.map(({ station, label }, i) => (
          <g key={station}>
            <circle cx={35 + i * 70} cy="18" r="9" fill="var(--color-panel)" stroke="currentColor" strokeWidth="1.8" />
            <text x={35 + i * 70} y="47" textAnchor="middle" className="draw-text">
              {label}
            </text>
          </g>
        ))}
      </svg>
      <div className="btn-row">
        <Link href="/objects/new" className="btn go big">
          New piece
        </Link>
        <button type="button" className="btn big" onClick={() => void practise()} disabled={busy}>
          {busy ? "Bringing it …" : "Try a practice jar"}
        </button>
        <ImportDossier />
      </div>
      {trouble !== "" && (
        <p className="wrong-note" role="alert">
          {trouble}
        </p>
      )}
      <p className="dim">
        No material of your own yet? Wanderjahr works from typical figures of each class, as ranges with their sources, and says so.
      </p>
    </div>
  );
}
