import { Readable } from "node:stream";
import { streamDossier } from "@/work/dossiers";
import { answer, PRIVATE } from "../../../http";

export const GET = (request: Request, { params }: RouteContext<"/api/treatments/[id]/dossier.zip">) =>
  answer(request, async () => {
    const { file, stream } = await streamDossier((await params).id, new Date());
    // whoever asked has gone: nothing more is fetched
    request.signal.addEventListener("abort", () => stream.destroy());
    return new Response(Readable.toWeb(stream) as ReadableStream, {
      headers: { ...PRIVATE, "content-type": "application/zip", "content-disposition": `attachment; filename="${file}.dossier.zip"` },
    });
  });
