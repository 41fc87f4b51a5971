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
/** It can't be read at all. */
export const malformed = (title: string, detail: string) => new WorkProblem(problem(400, title, detail));
export const refused = (detail: string, path = "") => new WorkProblem(problem(422, "Not yet", detail, [{ path, message: detail }]));
export const collided = (detail: string, theirs: Pick<Problem, "version" | "theirs"> = {}) =>
  new WorkProblem({ ...problem(409, "Written twice", detail), ...theirs });
export const tooLarge = (detail: string) => new WorkProblem(problem(413, "Too large", detail, [{ path: "", message: detail }]));

/** Lost connections by code: of the operating system, and of PostgreSQL (appendix A: classes 08 and 57P, 53300 too many). */
const AWAY_CODE = /^(ECONN|ETIMEDOUT|EPIPE|ENOTFOUND|08(?!P01)|57P0|53300)/;
// what a transaction says whose connection was lost in its middle stands among them
const AWAY_WORDS =
  /ECONNREFUSED|ECONNRESET|Connection terminated|Connection ended|connection error and is not queryable|Client was closed|timeout expired|timeout exceeded when trying to connect|Timeout acquiring a connection|Transaction query already complete|terminating connection|the database system is (starting up|shutting down|in recovery mode)/i;
/** A message that the database can't read: a value that no text can hold was in it. */
const UNREADABLE_CODE = /^08P01$/;
/** Writers waited for one another in a circle, or one changed what another had read. */
const CROSSED_CODE = /^(40P01|40001)$/;
const FULL_CODE = /^(53100|ENOSPC)/;

/** An error and all that it was wrapped in, outermost first. */
function* causes(error: unknown): Generator<Error & { code?: string }> {
  for (let cause = error; cause instanceof Error; cause = cause.cause) {
    yield cause;
    if (cause instanceof AggregateError) for (const each of cause.errors) yield* causes(each);
  }
}
const some = (error: unknown, test: (cause: Error & { code?: string }) => boolean) => [...causes(error)].some(test);

/** Whether an error means that the database can't be reached, whatever layer wrapped it. */
export const isAway = (error: unknown): boolean =>
  some(error, ({ code, message }) => AWAY_CODE.test(code ?? "") || AWAY_WORDS.test(message));

/** What went wrong in the store as a problem: away, full, or a value that it can't hold; undefined = a slip in the code. */
export function storeProblem(error: unknown): Problem | undefined {
  if (isAway(error)) return RECORD_AWAY;
  if (some(error, ({ code }) => FULL_CODE.test(code ?? ""))) return DISK_FULL;
  if (some(error, ({ code }) => code === "22P02")) return notFound("This").problem;
  if (some(error, ({ code }) => CROSSED_CODE.test(code ?? ""))) return CROSSED;
  if (some(error, ({ code }) => UNREADABLE_CODE.test(code ?? "") || /^22/.test(code ?? ""))) return UNFIT;
  if (some(error, ({ code }) => code === "23505")) return taken().problem;
  return undefined;
}

/** The id, or the name, belongs to something else. */
export const taken = () =>
  new WorkProblem(
    problem(409, "Taken already", "Something else is here under this id. Nothing was saved; send it under an id of its own."),
  );

const UNFIT = problem(422, "Something does not fit", "The record can’t hold a value that was sent. Nothing was saved.");
const CROSSED = problem(503, "Too many at once", "Others wrote at the same moment. Nothing was saved; it is tried again in a moment.");
const DISK_FULL = problem(
  507,
  "The disk is full",
  "Nothing more can be saved on this machine. What you typed stays here; make room on its disk, then try again.",
);

const RECORD_AWAY = problem(
  503,
  "The record can’t be reached",
  "The database does not answer. What you typed stays here; try again in a moment.",
);
