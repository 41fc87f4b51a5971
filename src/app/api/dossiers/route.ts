import { importDossier } from "@/work/dossiers";
import { answer, readJson } from "../http";

const DOSSIER_MAX_BYTES = 256 * 1024 * 1024;

export const POST = (request: Request) =>
  answer(
    request,
    async () =>
      importDossier(await readJson(request, DOSSIER_MAX_BYTES), { asCopy: new URL(request.url).searchParams.get("as") === "copy" }),
    201,
  );
