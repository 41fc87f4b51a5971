import { mixableNow, mixBatch } from "@/work/batches";
import { answer, readJson } from "../http";

export const GET = (request: Request) =>
  answer(request, async () => ({
    treatments: await mixableNow(new URL(request.url).searchParams.get("class") ?? "", new Date(), request.signal),
  }));

export const POST = (request: Request) => answer(request, async () => mixBatch(await readJson(request), new Date()), 201);
