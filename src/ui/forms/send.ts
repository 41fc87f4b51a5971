import type { FieldError, Problem } from "@/core/problem";

export type Sent<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

const UNREACHED: Problem = {
  type: "urn:wanderjahr:problem:unreached",
  title: "Not saved",
  status: 0,
  detail: "The server does not answer. What you typed stays here; try again in a moment.",
};

/** Send JSON, or a file, to the app; every failure comes back as a problem, never as an exception. */
export async function send<T>(method: "POST" | "PUT" | "DELETE", url: string, body?: unknown): Promise<Sent<T>> {
  const file = body instanceof Blob;
  try {
    const response = await fetch(url, {
      method,
      // a small request ends even when its page is left
      keepalive: !file,
      ...(body === undefined ? {} : { body: file ? body : JSON.stringify(body) }),
      ...(file || body === undefined ? {} : { headers: { "content-type": "application/json" } }),
    });
    const answer = await response.json();
    return response.ok ? { ok: true, value: answer as T } : { ok: false, problem: answer as Problem };
  } catch {
    return { ok: false, problem: UNREACHED };
  }
}

/** Fetch JSON from the app; every failure comes back as a problem, never as an exception. */
export async function receive<T>(url: string): Promise<Sent<T>> {
  try {
    const response = await fetch(url);
    const answer = await response.json();
    return response.ok ? { ok: true, value: answer as T } : { ok: false, problem: answer as Problem };
  } catch {
    return { ok: false, problem: UNREACHED };
  }
}

/** Whether trying the same again may help by itself: the server, its database or its disk was away, or something broke there. */
export function isPassing({ status }: Problem): boolean {
  return status === 0 || status >= 500;
}

/** The last step of a JSON pointer: the field's own name. */
export function fieldOf({ path }: FieldError): string {
  return path.split("/").at(-1) ?? "";
}
