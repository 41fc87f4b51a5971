import { exportDossier } from "@/work/dossiers";
import { answer } from "../../../http";

export const GET = (request: Request, { params }: RouteContext<"/api/treatments/[id]/dossier">) =>
  answer(request, async () => {
    const dossier = await exportDossier((await params).id, new Date());
    const file = `${dossier.piece.reference}-${dossier.treatment.title}`.replaceAll(/[^\w-]+/g, "-").slice(0, 80);
    return new Response(JSON.stringify(dossier, null, 1), {
      headers: { "content-type": "application/json", "content-disposition": `attachment; filename="${file}.dossier.json"` },
    });
  });
