import { importDossierZip } from "@/work/dossiers";
import { answer, withFile } from "../../http";

/** As many pictures as a treatment may have, at their largest. */
const ZIP_MAX_BYTES = 4 * 1024 * 1024 * 1024;

export const POST = (request: Request) =>
  answer(
    request,
    () =>
      withFile(request, ZIP_MAX_BYTES, (file) =>
        importDossierZip(file, { asCopy: new URL(request.url).searchParams.get("as") === "copy" }),
      ),
    201,
  );
