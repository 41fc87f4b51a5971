import { writeUp } from "@/work/writeUp";
import { answer, readJson } from "../../../http";

export const POST = (request: Request, { params }: RouteContext<"/api/treatments/[id]/written-up">) =>
  answer(request, async () => writeUp((await params).id, await readJson(request), new Date()), 201);
