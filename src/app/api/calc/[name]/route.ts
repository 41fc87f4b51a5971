import { calcAside } from "@/work/calcThread";
import { answer, problemResponse, readJson } from "../../http";

/** A week of climate readings by the minute is about a megabyte. */
const CALC_MAX_BYTES = 8 * 1024 * 1024;

export const POST = (request: Request, { params }: RouteContext<"/api/calc/[name]">) =>
  answer(request, async () => {
    const { name } = await params;
    const outcome = await calcAside(name, await readJson(request, CALC_MAX_BYTES));
    return outcome.ok ? outcome.result : problemResponse(outcome.problem);
  });
