import { editPiece } from "@/work/pieces";
import { answer, readJson } from "../../http";

export const PUT = (request: Request, { params }: RouteContext<"/api/pieces/[id]">) =>
  answer(request, async () => editPiece((await params).id, await readJson(request)));
