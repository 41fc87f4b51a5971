import type { Amount } from "../mix/weigh";
import type { Draft } from "./expand";

/** What a draft takes: at each place for all that are like it. */
export function amountOf({ amount, here }: Draft): Amount | undefined {
  const alike = new Map(here.map((place) => [place.id, place.alike ?? 1]));
  return (
    amount && {
      ...amount,
      takes: amount.takes.map((take) => {
        const n = alike.get(take.place) ?? 1;
        return n === 1 ? take : { ...take, cm3: take.cm3 * n, alike: n };
      }),
    }
  );
}
