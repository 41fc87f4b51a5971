import { readPhotograph } from "@/work/photographs";
import { answer } from "../../http";

/** The file as it was added, or with `?thumbnail` a small JPEG. Content never changes under an id. */
export const GET = (request: Request, { params }: RouteContext<"/api/photographs/[id]">) =>
  answer(request, async () => {
    const { mime, bytes, sha256 } = await readPhotograph((await params).id, new URL(request.url).searchParams.has("thumbnail"));
    return new Response(new Uint8Array(bytes), {
      headers: {
        "content-type": mime,
        etag: `"${sha256}"`,
        "cache-control": "private, max-age=31536000, immutable",
      },
    });
  });
