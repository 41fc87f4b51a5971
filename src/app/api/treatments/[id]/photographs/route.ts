import { PHOTOGRAPH_MAX_BYTES } from "@/formats/photograph";
import { PhotographQuery } from "@/work/inputs.schema";
import { parse } from "@/work/parse";
import { addPhotograph } from "@/work/photographs";
import { answer, readBytes } from "../../../http";

/** The body is the file itself; what is said of it stands in the query. */
export const POST = (request: Request, { params }: RouteContext<"/api/treatments/[id]/photographs">) =>
  answer(
    request,
    async () => {
      const query = parse(PhotographQuery, Object.fromEntries(new URL(request.url).searchParams));
      const bytes = await readBytes(request, PHOTOGRAPH_MAX_BYTES);
      return addPhotograph((await params).id, { ...query, bytes }, new Date());
    },
    201,
  );
