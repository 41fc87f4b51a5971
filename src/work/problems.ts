import { type FieldError, type Problem, problem } from "@/core/problem";

/** An expected refusal on its way to the caller, as an RFC 9457 problem. */
export class WorkProblem extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

export const notFound = (what: string) => new WorkProblem(problem(404, "Not here", `${what} is not here. It may have been deleted.`));
export const invalid = (errors: readonly FieldError[], detail = "See the errors for each field.") =>
  new WorkProblem(problem(422, "Something does not fit", detail, errors));
export const refused = (detail: string) => new WorkProblem(problem(422, "Not yet", detail, [{ path: "", message: detail }]));
export const collided = (detail: string) => new WorkProblem(problem(409, "Written twice", detail));
export const tooLarge = (detail: string) => new WorkProblem(problem(413, "Too large", detail, [{ path: "", message: detail }]));

const AWAY_CODES = ["ECONNREFUSED", "ECONNRESET", "ETIMEDOUT", "EPIPE", "57P01", "57P02", "57P03", "08006", "08001"];
const AWAY_WORDS =
  /ECONNREFUSED|ECONNRESET|Connection terminated|timeout expired|timeout exceeded when trying to connect|Timeout acquiring a connection|terminating connection|the database system is (starting up|shutting down)/i;

/** Whether an error means that the database can't be reached, whatever layer wrapped it. */
export function isAway(error: unknown): boolean {
  for (let cause = error; cause instanceof Error; cause = cause.cause) {
    const { code } = cause as Error & { code?: string };
    if ((code && AWAY_CODES.includes(code)) || AWAY_WORDS.test(cause.message)) return true;
    if (cause instanceof AggregateError && cause.errors.some(isAway)) return true;
  }
  return false;
}

export const RECORD_AWAY = problem(
  503,
  "The record can’t be reached",
  "The database does not answer. What you typed stays here; try again in a moment.",
);
