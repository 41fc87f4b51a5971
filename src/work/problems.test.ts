import { isAway, storeProblem } from "./problems";

const coded = (message: string, code: string) => Object.assign(new Error(message), { code });

test.each<[string, unknown, boolean]>([
  ["a refused connection", coded("connect ECONNREFUSED 127.0.0.1:1", "ECONNREFUSED"), true],
  ["one that is wrapped twice", new Error("outer", { cause: new Error("middle", { cause: coded("inner", "57P01") }) }), true],
  ["many at once", new AggregateError([coded("x", "ECONNREFUSED")], "all failed"), true],
  ["words of the pool", new Error("Knex: Timeout acquiring a connection. The pool is probably full."), true],
  ["a server that does not answer in time", new Error("timeout expired"), true],
  ["a backend that was killed under a query", coded("terminating connection due to unexpected postmaster exit", "57P01"), true],
  ["a pool whose client is gone", new Error("Client has encountered a connection error and is not queryable"), true],
  ["a server that recovers", new Error("the database system is in recovery mode"), true],
  ["a transaction that lost its connection midway", new Error("Transaction query already complete, run with DEBUG=knex:tx"), true],
  ["too many connections", coded("sorry, too many clients already", "53300"), true],
  ["a message that it can't read", coded("invalid message format", "08P01"), false],
  ["a wrong query", coded("syntax error", "42601"), false],
  ["a slip in the code", new TypeError("undefined is not a function"), false],
  ["no error at all", "ECONNREFUSED", false],
])("%s", (_, error, away) => {
  expect(isAway(error)).toBe(away);
});

test.each<[string, unknown, number | undefined]>([
  ["a full disk", coded("could not extend file: No space left on device", "53100"), 507],
  ["an id that is none", new Error("outer", { cause: coded("invalid input syntax for type uuid", "22P02") }), 404],
  ["a character that no text holds", coded("invalid byte sequence for encoding", "22021"), 422],
  ["an id that something else has", coded("duplicate key value", "23505"), 409],
  ["a text with an end in its middle", coded("invalid message format", "08P01"), 422],
  ["writers who waited for one another", coded("deadlock detected", "40P01"), 503],
  ["a change that another made first", coded("could not serialize access", "40001"), 503],
  ["a lost connection", coded("read ECONNRESET", "ECONNRESET"), 503],
  ["a slip in the code", new TypeError("undefined is not a function"), undefined],
])("%s is told as %s", (_, error, status) => {
  expect(storeProblem(error)?.status).toBe(status);
});
