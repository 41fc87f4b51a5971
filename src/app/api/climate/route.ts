import { setClimate } from "@/work/climate";
import { answer, readJson } from "../http";

export const POST = (request: Request) => answer(request, async () => setClimate(await readJson(request), new Date()), 201);
