import { listPage } from "@/work/lists";
import { answer } from "../http";

export const GET = (request: Request) => answer(request, () => listPage(Object.fromEntries(new URL(request.url).searchParams), new Date()));
