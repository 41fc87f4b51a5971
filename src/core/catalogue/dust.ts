import type { Caution } from "./cautions.data";
import type { Family, SubstrateRow } from "./substrates.data";

const DUST: Readonly<Partial<Record<Family, Caution>>> = {
  ceramic: "silica",
  mineral: "dust-mineral",
  paper: "dust-mineral",
  metal: "dust-metal",
  wood: "dust-wood",
  board: "dust-wood",
};
/** Minerals with quartz in them; plaster, alabaster and composition have next to none. */
const QUARTZ: readonly string[] = ["stone", "cement-cast"];

/** The dust that a material throws off when it is sanded, bored or cut. */
export const dustOf = ({ substrate, family }: SubstrateRow): Caution =>
  QUARTZ.includes(substrate) ? "silica" : (DUST[family] ?? "dust-resin");
