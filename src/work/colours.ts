import { type ColourEntry, coloursOf, type ShopColours } from "@/core/views/colours";
import { em as openEm } from "@/store/orm";
import { colourEntries } from "@/store/queries";

/** Recipes and swatches of every piece that is not put away. */
export async function coloursOfShop(): Promise<ShopColours> {
  return coloursOf(await colourEntries<ColourEntry>(await openEm()));
}
