import { expose } from "comlink";
import { colour } from "@/core/colour/colour";
import { stripOf } from "@/core/colour/drawdown";

/** The search for a recipe and the strip of coats, off the page's thread. */
expose({ colour, stripOf });
