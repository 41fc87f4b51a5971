import type { Metadata, Viewport } from "next";
import type { ReactNode } from "react";
import "./globals.css";

/** Every answer bears its own mark for scripts. */
export const dynamic = "force-dynamic";

export const metadata: Metadata = {
  title: { default: "Wanderjahr", template: "%s · Wanderjahr" },
  description: "From survey to record: the bench companion for restorers.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#e0e8e5" };

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>{children}</body>
    </html>
  );
}
