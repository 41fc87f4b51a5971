import { health } from "@/work/overview";
import { answer } from "../http";

export const dynamic = "force-dynamic";

/** Answers when the record can be reached. */
export const GET = (request: Request) => answer(request, health);
