import { expose } from "comlink";
import { assemblyOrder } from "@/core/ready/assembly";

/** The search for an assembly order, off the page's thread. */
expose({ assemblyOrder });
