import { treatApart } from "@/work/apart";
import { answer, readJson } from "../../../http";

export const POST = (request: Request, { params }: RouteContext<"/api/treatments/[id]/apart">) =>
  answer(request, async () => treatApart((await params).id, await readJson(request), new Date()), 201);
