import { appendEntry } from "@/work/log";
import { answer, readJson } from "../../../http";

export const POST = (request: Request, { params }: RouteContext<"/api/treatments/[id]/log">) =>
  answer(request, async () => appendEntry((await params).id, await readJson(request), new Date()), 201);
