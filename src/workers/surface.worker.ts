import { expose } from "comlink";
import { surface, surfaceRows } from "@/core/level/surface";

/** The surface that a ladder leaves, off the page's thread. */
expose({ surface, surfaceRows });
