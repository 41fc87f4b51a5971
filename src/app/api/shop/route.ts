import { saveShop, shop } from "@/work/shop";
import { answer, readJson } from "../http";

export const GET = (request: Request) => answer(request, shop);
export const PUT = (request: Request) => answer(request, async () => saveShop(await readJson(request)));
