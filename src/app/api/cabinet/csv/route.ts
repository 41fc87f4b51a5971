import { exportCabinet, importCabinet } from "@/work/cabinet";
import { readable } from "@/work/parse";
import { answer, PRIVATE, readBytes } from "../../http";

const CSV_MAX_BYTES = 4 * 1024 * 1024;

/** The whole cabinet as CSV. */
export const GET = (request: Request) =>
  answer(
    request,
    async () =>
      new Response(await exportCabinet(), {
        headers: { ...PRIVATE, "content-type": "text/csv; charset=utf-8", "content-disposition": 'attachment; filename="cabinet.csv"' },
      }),
  );

/** Take CSV in; `?skip_bad` leaves out lines that are wrong instead of refusing the file. */
export const POST = (request: Request) =>
  answer(request, async () => {
    const text = readable(new TextDecoder("utf-8").decode(await readBytes(request, CSV_MAX_BYTES)));
    return importCabinet(text, new URL(request.url).searchParams.has("skip_bad"), new Date());
  });
