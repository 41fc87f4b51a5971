import type { Metadata, Viewport } from "next";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { Ready } from "@/ui/frame/Ready";
import { NONCE } from "./guard";
import "./globals.css";

/** Every answer bears its own mark for scripts. */
export const dynamic = "force-dynamic";

export const metadata: Metadata = {
  title: { default: "Wanderjahr", template: "%s · Wanderjahr" },
  description: "From survey to record: the bench companion for restorers.",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1, themeColor: "#e0e8e5" };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get(NONCE) ?? "";
  return (
    // the scripts of this page write on it before it is taken over
    <html lang="en" suppressHydrationWarning>
      <head>
        <script src="/early.js" nonce={nonce} suppressHydrationWarning />
      </head>
      <body>
        {children}
        <Ready />
      </body>
    </html>
  );
}
