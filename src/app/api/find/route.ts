import { find } from "@/work/find";
import { answer } from "../http";

export const GET = (request: Request) => answer(request, () => find(new URL(request.url).searchParams.get("q") ?? ""));
