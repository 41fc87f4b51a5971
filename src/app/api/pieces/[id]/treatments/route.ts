import { addTreatment } from "@/work/pieces";
import { answer, readJson } from "../../../http";

export const POST = (request: Request, { params }: RouteContext<"/api/pieces/[id]/treatments">) =>
  answer(request, async () => addTreatment((await params).id, await readJson(request), new Date()), 201);
