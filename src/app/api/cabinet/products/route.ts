import { addProduct } from "@/work/cabinet";
import { answer, readJson } from "../../http";

export const POST = (request: Request) => answer(request, async () => addProduct(await readJson(request), new Date()), 201);
