import { type NextRequest, NextResponse } from "next/server";
import { NONCE, strangeness } from "./app/guard";

/** Pages for this machine's own names only, and scripts only where they bear this answer's mark (W3C CSP level 3). */
export function proxy(request: NextRequest): NextResponse {
  if (!isReadable(request.nextUrl.pathname)) return new NextResponse(JSON.stringify(UNREADABLE), { status: 400, headers: PROBLEM });
  if (request.nextUrl.pathname.startsWith("/api/")) return NextResponse.next();
  const why = strangeness(request);
  if (why) return new NextResponse(why, { status: 403, headers: { "content-type": "text/plain; charset=utf-8" } });
  const nonce = Buffer.from(crypto.randomUUID()).toString("base64");
  const policy = policyWith(nonce);
  const headers = new Headers(request.headers);
  // the framework reads the mark from here and puts it on its own scripts
  headers.set("content-security-policy", policy);
  headers.set(NONCE, nonce);
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

const PROBLEM = { "content-type": "application/problem+json", "cache-control": "no-store" };
const UNREADABLE = {
  type: "urn:wanderjahr:problem:not-an-address",
  title: "Not an address",
  status: 400,
  detail: "A percent sign in the address is followed by no character.",
};

/** Whether every percent sign stands for a character, and none for the end of a text. */
function isReadable(path: string): boolean {
  try {
    return !decodeURIComponent(path).includes("\0");
  } catch {
    return false;
  }
}

/** Routes guard themselves, but where their address can't be read: through here their bodies would be cut at ten megabytes. */
export const config = { matcher: ["/((?!api/|_next/static/|icon|early).*)", "/(api/.*%.*)"] };
