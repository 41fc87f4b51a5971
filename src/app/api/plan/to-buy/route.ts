import { toBuyCsv } from "@/work/week";
import { answer, PRIVATE } from "../../http";

/** What the open plans take and the cabinet lacks, as CSV. */
export const GET = (request: Request) =>
  answer(
    request,
    async () =>
      new Response(await toBuyCsv(), {
        headers: { ...PRIVATE, "content-type": "text/csv; charset=utf-8", "content-disposition": 'attachment; filename="to-buy.csv"' },
      }),
  );
