"use client";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { Sign } from "../signs/Sign";

const RETRY_S = 10;

/** The database can't be reached: what still works, seconds to the next try, and nothing typed is lost. */
export function RecordAway() {
  const router = useRouter();
  const [left, setLeft] = useState(RETRY_S);
  useEffect(() => {
    const tick = setInterval(() => setLeft((seconds) => (seconds <= 1 ? RETRY_S : seconds - 1)), 1000);
    return () => clearInterval(tick);
  }, []);
  useEffect(() => {
    if (left === RETRY_S) router.refresh();
  }, [left, router]);
  return (
    <div className="state-page" role="alert">
      <Sign name="away" size={20}>
        The record can’t be reached
      </Sign>
      <p>
        The database does not answer. <b>What you typed is kept on this device</b> and comes back in its fields. Cures go on by themselves;
        their times stand here again once the record is back.
      </p>
      <p className="figure-row">
        <span>tries again in</span>
        <b>0:{String(left).padStart(2, "0")}</b>
      </p>
      <button type="button" className="btn" onClick={() => router.refresh()}>
        Try now
      </button>
    </div>
  );
}
