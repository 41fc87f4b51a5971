import { calc } from "@/core/calc";
import { answer, problemResponse, readJson } from "../../http";

export const POST = (request: Request, { params }: RouteContext<"/api/calc/[name]">) =>
  answer(request, async () => {
    const { name } = await params;
    const outcome = calc(name, await readJson(request));
    return outcome.ok ? outcome.result : problemResponse(outcome.problem);
  });
