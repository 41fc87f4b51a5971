import { isAway } from "./problems";

const coded = (message: string, code: string) => Object.assign(new Error(message), { code });

test.each<[string, unknown, boolean]>([
  ["a refused connection", coded("connect ECONNREFUSED 127.0.0.1:1", "ECONNREFUSED"), true],
  ["one that is wrapped twice", new Error("outer", { cause: new Error("middle", { cause: coded("inner", "57P01") }) }), true],
  ["many at once", new AggregateError([coded("x", "ECONNREFUSED")], "all failed"), true],
  ["words of the pool", new Error("Knex: Timeout acquiring a connection. The pool is probably full."), true],
  ["a server that does not answer in time", new Error("timeout expired"), true],
  ["a wrong query", coded("syntax error", "42601"), false],
  ["a slip in the code", new TypeError("undefined is not a function"), false],
  ["no error at all", "ECONNREFUSED", false],
])("%s", (_, error, away) => {
  expect(isAway(error)).toBe(away);
});
