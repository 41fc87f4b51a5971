import { dossierName, exportDossier } from "@/work/dossiers";
import { answer, PRIVATE } from "../../../http";

/** Small enough for one text, it is that; else its zip is sent for. */
export const GET = (request: Request, { params }: RouteContext<"/api/treatments/[id]/dossier">) =>
  answer(request, async () => {
    const { id } = await params;
    const dossier = await exportDossier(id, new Date());
    if (!dossier) return new Response(null, { status: 303, headers: { location: `/api/treatments/${id}/dossier.zip` } });
    return new Response(JSON.stringify(dossier, null, 1), {
      headers: {
        ...PRIVATE,
        "content-type": "application/json",
        "content-disposition": `attachment; filename="${dossierName(dossier)}.dossier.json"`,
      },
    });
  });
