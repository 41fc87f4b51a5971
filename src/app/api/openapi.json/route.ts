import { openApi } from "@/work/openapi";

export const dynamic = "force-static";

export const GET = () => Response.json(openApi());
