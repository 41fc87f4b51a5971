import { importDossier } from "@/work/dossiers";
import { practiceDossier } from "@/work/practice";
import { answer } from "../http";

/** A practice piece for a first look: a fresh copy each time. */
export const POST = (request: Request) =>
  answer(request, async () => importDossier(await practiceDossier(new Date()), { asCopy: true }), 201);
