import { editProduct } from "@/work/cabinet";
import { answer, readJson } from "../../../http";

export const PUT = (request: Request, { params }: RouteContext<"/api/cabinet/products/[id]">) =>
  answer(request, async () => editProduct((await params).id, await readJson(request)));
