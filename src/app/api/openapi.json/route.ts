import { openApi } from "@/work/openapi";
import { answer } from "../http";

export const GET = (request: Request) => answer(request, async () => openApi());
