import { addLot } from "@/work/cabinet";
import { answer, readJson } from "../../../../http";

export const POST = (request: Request, { params }: RouteContext<"/api/cabinet/products/[id]/lots">) =>
  answer(request, async () => addLot((await params).id, await readJson(request), new Date()), 201);
