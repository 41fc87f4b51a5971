import { expose } from "comlink";
import { colour } from "@/core/colour/colour";
import { corrected, stripOf } from "@/core/colour/drawdown";
import { topUp } from "@/core/colour/topUp";

/** The search for a recipe the strip of coats and what corrects it, and what is added to a cup, off the page's thread. */
expose({ colour, stripOf, corrected, topUp });
