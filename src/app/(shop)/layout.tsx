import type { ReactNode } from "react";
import { timedOnly } from "@/core/views/shelf";
import { Shell } from "@/ui/frame/Shell";
import { overview } from "@/work/overview";
import { isAway } from "@/work/problems";
import { shop } from "@/work/shop";

export default async function ShopLayout({ children }: { children: ReactNode }) {
  const read = async () => ({ ...(await overview()), kept: await shop() });
  const seen = await read().catch((error: unknown) => {
    if (isAway(error)) return undefined;
    throw error;
  });
  if (!seen)
    return (
      <Shell place={process.env.SHOP_NAME ?? ""} now={Date.now()} timeZone={Intl.DateTimeFormat().resolvedOptions().timeZone}>
        {children}
      </Shell>
    );
  const shelf = seen.items
    .map(({ id, piece, title, brief }) => ({ id, piece, title, brief: timedOnly(brief) }))
    .filter(({ brief }) => brief.acts.length > 0);
  return (
    <Shell place={seen.kept.name} shop={seen.kept} now={seen.now} timeZone={seen.time_zone} air={seen.air} shelf={shelf}>
      {children}
    </Shell>
  );
}
