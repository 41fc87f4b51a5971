import { openApi } from "@/core/openapi";
import { answer } from "../http";

export const dynamic = "force-static";

export const GET = (request: Request) => answer(request, async () => openApi());
