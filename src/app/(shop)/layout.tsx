import type { ReactNode } from "react";
import { timedOnly } from "@/core/views/shelf";
import { Shell } from "@/ui/frame/Shell";
import { overview, shopTimeZone } from "@/work/overview";
import { isAway } from "@/work/problems";

export default async function ShopLayout({ children }: { children: ReactNode }) {
  const place = process.env.SHOP_NAME ?? "";
  const seen = await overview().catch((error: unknown) => {
    if (isAway(error)) return undefined;
    throw error;
  });
  if (!seen)
    return (
      <Shell place={place} now={Date.now()} timeZone={shopTimeZone()}>
        {children}
      </Shell>
    );
  const shelf = seen.items
    .map(({ id, piece, title, brief }) => ({ id, piece, title, brief: timedOnly(brief) }))
    .filter(({ brief }) => brief.acts.length > 0);
  return (
    <Shell place={place} now={seen.now} timeZone={seen.time_zone} air={seen.air} shelf={shelf}>
      {children}
    </Shell>
  );
}
