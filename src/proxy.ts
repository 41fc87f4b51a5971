import { type NextRequest, NextResponse } from "next/server";
import { strangeness } from "./app/guard";

/** Pages for this machine's own names only, and scripts only where they bear this answer's mark (W3C CSP level 3). */
export function proxy(request: NextRequest): NextResponse {
  const why = strangeness(request);
  if (why) return new NextResponse(why, { status: 403, headers: { "content-type": "text/plain; charset=utf-8" } });
  const policy = policyWith(Buffer.from(crypto.randomUUID()).toString("base64"));
  const headers = new Headers(request.headers);
  // the framework reads the mark from here and puts it on its own scripts
  headers.set("content-security-policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy);
  return response;
}

function policyWith(nonce: string): string {
  // the development server evaluates what it reloads
  const evaluated = process.env.NODE_ENV === "development" ? " 'unsafe-eval'" : "";
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${evaluated}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
}

/** Routes guard themselves: through here their bodies would be cut at ten megabytes. */
export const config = { matcher: "/((?!api/|_next/static/|icon).*)" };
