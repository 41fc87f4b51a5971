"use client";
import { Sign } from "@/ui/signs/Sign";

export default function ErrorPage({ reset }: { reset: () => void }) {
  return (
    <div className="state-page" role="alert">
      <Sign name="never" size={20}>
        This page broke
      </Sign>
      <p>
        Nothing was lost: what you typed is kept on this device, and the record is untouched. If it breaks again, the server’s log says why.
      </p>
      <button type="button" className="btn" onClick={reset}>
        Try again
      </button>
    </div>
  );
}
