import { notFound } from "@/work/problems";
import { isRemovable, setRemoved } from "@/work/removal";
import { answer } from "../../../http";

type Context = RouteContext<"/api/removed/[kind]/[id]">;

async function set({ params }: Context, at: Date | null): Promise<void> {
  const { kind, id } = await params;
  if (!isRemovable(kind)) throw notFound("This");
  await setRemoved(kind, id, at);
}

/** PUT takes a thing away, DELETE undoes that. */
export const PUT = (request: Request, context: Context) => answer(request, () => set(context, new Date()));
export const DELETE = (request: Request, context: Context) => answer(request, () => set(context, null));
