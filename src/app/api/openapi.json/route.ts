import { openApi } from "@/core/openapi";

export const dynamic = "force-static";

export const GET = () => Response.json(openApi());
