import { editLot } from "@/work/cabinet";
import { answer, readJson } from "../../../http";

export const PUT = (request: Request, { params }: RouteContext<"/api/cabinet/lots/[id]">) =>
  answer(request, async () => editLot((await params).id, await readJson(request), new Date()));
