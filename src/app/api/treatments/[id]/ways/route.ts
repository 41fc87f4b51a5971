import { waysOf } from "@/work/ways";
import { answer, readJson } from "../../../http";

export const POST = (request: Request, { params }: RouteContext<"/api/treatments/[id]/ways">) =>
  answer(request, async () => waysOf((await params).id, await readJson(request), new Date()));
