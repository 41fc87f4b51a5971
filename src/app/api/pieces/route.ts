import { createPiece } from "@/work/pieces";
import { answer, readJson } from "../http";

export const POST = (request: Request) => answer(request, async () => createPiece(await readJson(request), new Date()), 201);
