/** The header that tells a page the mark of its scripts. */
export const NONCE = "x-nonce";

const OWN_NAMES = ["127.0.0.1", "localhost", "[::1]"];

/**
 * Other sites must not read or write here through the user's browser: a name that was pointed at this machine is not answered, and writes
 * are taken from the app's own pages. A proxy's name is allowed by SHOP_HOST. Answers why a request is refused; undefined = it is not.
 */
export function strangeness({ headers, method }: Pick<Request, "headers" | "method">): string | undefined {
  const host = headers.get("host") ?? "";
  const name = host.replace(/:\d+$/, "");
  if (!OWN_NAMES.includes(name) && name !== process.env.SHOP_HOST) return "This app answers under the name of this machine only.";
  if (method === "GET" || method === "HEAD") return undefined;
  // on plain http behind a name browsers send no fetch metadata: the origin tells then
  const [site, origin] = [headers.get("sec-fetch-site"), headers.get("origin")];
  const own = (site === null || site === "same-origin" || site === "none") && (origin === null || hostOf(origin) === host);
  return own ? undefined : "Writes are taken from this app's own pages only.";
}

function hostOf(origin: string): string {
  return URL.canParse(origin) ? new URL(origin).host : "";
}
