import { forgetHeads } from "../src/store/heads";
import { closeStore, em } from "../src/store/orm";
import { airNow } from "../src/work/climate";
import { refreshOpen } from "../src/work/heads";
import { hashOf, STAMPED } from "./lib/hash.mjs";

/** Throw away what is kept beside the treatments and work all of it out anew; with `--behind` only what is of another build. */
async function main(): Promise<void> {
  // as the app that runs would have worked them out
  process.env.APP_STAMP ??= hashOf(process.cwd(), STAMPED);
  const [store, now] = [await em(), new Date()];
  const all = !process.argv.includes("--behind");
  if (all) await forgetHeads(store);
  await refreshOpen(store, now, await airNow(store, now));
  await closeStore();
  if (all) console.log("What lists show was worked out anew from the logs.");
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
