import type { Control, UseFormReturn } from "react-hook-form";
import type { Shop } from "@/core/shop/shop.schema";
import type { Errors } from "../forms/read";
import type { ShopFields } from "./shopForm";

/** What each part of the page is given: the form, what stands in it, and what is wrong with it. */
export interface ShopPart {
  readonly form: Pick<UseFormReturn<ShopFields>, "register" | "setValue">;
  readonly values: ShopFields;
  readonly errors: Errors;
}

/** One with a list whose lines are added and taken away. */
export interface ShopList extends ShopPart {
  readonly control: Control<ShopFields, unknown, Shop>;
}
