"use client";
import { useRouter } from "next/navigation";
import { useEffect } from "react";

/** Reads the page anew when its window is looked at again: another tab may have written meanwhile. */
export function Fresh() {
  const router = useRouter();
  useEffect(() => {
    const look = () => {
      if (document.visibilityState === "visible") router.refresh();
    };
    document.addEventListener("visibilitychange", look);
    return () => document.removeEventListener("visibilitychange", look);
  }, [router]);
  return null;
}
