import fc, { type Arbitrary } from "fast-check";

/** As much of JSON Schema as our schemas use. */
interface Schema {
  readonly type?: string | readonly string[];
  readonly const?: unknown;
  readonly enum?: readonly unknown[];
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly not?: object;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly patternProperties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly items?: Schema | readonly Schema[];
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly uniqueItems?: boolean;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly exclusiveMinimum?: number;
  readonly exclusiveMaximum?: number;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly pattern?: string;
  readonly format?: string;
}

/** How many of a list are made at most, where the schema lets more in. */
const MOST_ITEMS = 4;

/** Values of all kinds that a schema lets in: its ends, what lies next to them, and what lies between. Texts are short, lists too. */
export const fromSchema = (schema: object): Arbitrary<unknown> => of(schema as Schema);

function of(schema: Schema): Arbitrary<unknown> {
  if ("const" in schema) return fc.constant(schema.const);
  if (schema.enum) return fc.constantFrom(...schema.enum);
  if (schema.properties) return object(schema);
  const variants = schema.anyOf ?? schema.oneOf;
  if (variants) return fc.oneof(...variants.map(of));
  const types = typeof schema.type === "string" ? [schema.type] : (schema.type ?? ["null"]);
  return fc.oneof(...types.map((type) => (KINDS[type] ?? (() => fc.constant(null)))(schema)));
}

const KINDS: Readonly<Record<string, (schema: Schema) => Arbitrary<unknown>>> = {
  number,
  integer: ({ minimum = -1e6, maximum = 1e6 }) =>
    fc.oneof(fc.constantFrom(minimum, maximum), fc.integer({ min: minimum, max: Math.min(maximum, minimum + 20) })),
  string: text,
  boolean: () => fc.boolean(),
  array: list,
  object: (schema) => (schema.patternProperties ? dictionary(schema) : object(schema)),
  null: () => fc.constant(null),
};

function number({ minimum, maximum = 1e12, exclusiveMinimum, exclusiveMaximum }: Schema): Arbitrary<number> {
  const min = minimum ?? exclusiveMinimum ?? -1e12;
  const max = Math.min(maximum, exclusiveMaximum ?? maximum);
  const inside = (x: number) =>
    x >= min &&
    x <= max &&
    !(exclusiveMinimum !== undefined && x <= exclusiveMinimum) &&
    !(exclusiveMaximum !== undefined && x >= exclusiveMaximum);
  const ends = [min, max, 0, 5e-324, 1e-8, 0.01, 1, 10, min + (max - min) * 1e-6].filter(inside);
  const usual = fc.double({ min: Math.max(min, 0.1), max: Math.max(Math.max(min, 0.1), Math.min(max, 100)), noNaN: true });
  return fc.oneof(fc.constantFrom(...ends), usual, fc.double({ min, max, noNaN: true })).filter(inside);
}

const FORMATS: Readonly<Record<string, Arbitrary<string>>> = {
  "date-time": fc
    .constantFrom(
      "2026-10-07T12:00:00+02:00",
      "1970-01-01T00:00:00Z",
      "9999-12-31T23:59:59Z",
      "1000-01-01T00:00:00Z",
      "2026-10-25T02:30:00+02:00",
    )
    .chain((usual) =>
      fc.oneof(
        fc.constant(usual),
        fc.date({ min: new Date("2000-01-01"), max: new Date("2100-01-01"), noInvalidDate: true }).map((date) => date.toISOString()),
      ),
    ),
  date: fc.constantFrom("2026-10-07", "1000-01-01", "9999-12-31", "2028-02-29"),
  uuid: fc.uuid(),
};

/** Where a schema sets no end to a text, one is made up. */
const LONG = 40;

function text({ format, pattern, minLength = 0, maxLength }: Schema): Arbitrary<string> {
  const formatted = format && FORMATS[format];
  if (formatted) return formatted;
  if (pattern)
    return fc.stringMatching(new RegExp(pattern)).filter((made) => made.length >= minLength && made.length <= (maxLength ?? made.length));
  const most = maxLength ?? LONG;
  return fc.oneof(
    fc
      .constantFrom("d1", "a", "b", "constructor", "__proto__", "NaN", "\u202e", "’; drop", "%00", "P240")
      .filter((made) => made.length >= minLength && made.length <= most),
    fc
      .string({ minLength, maxLength: Math.min(most, Math.max(minLength, 12)), unit: "binary" })
      .filter((made) => made.isWellFormed() && !made.includes("\0")),
  );
}

function list({ items, minItems = 0, maxItems = MOST_ITEMS, uniqueItems }: Schema): Arbitrary<unknown> {
  if (Array.isArray(items)) return fc.tuple(...items.map(of));
  const bounds = { minLength: minItems, maxLength: Math.max(minItems, Math.min(maxItems, MOST_ITEMS)) };
  const one = of((items as Schema | undefined) ?? {});
  return uniqueItems ? fc.uniqueArray(one, { ...bounds, selector: (each) => JSON.stringify(each) }) : fc.array(one, bounds);
}

const dictionary = ({ patternProperties = {} }: Schema) =>
  fc.dictionary(fc.stringMatching(/^[a-z_]{1,12}$/), of(Object.values(patternProperties)[0] ?? {}), { maxKeys: 3 });

/** Where alternatives name what they require, one of them is met. */
function object(schema: Schema): Arbitrary<unknown> {
  const { properties = {}, required = [], oneOf, anyOf } = schema;
  const variants = oneOf ?? anyOf;
  if (variants?.some((variant) => variant.properties))
    return fc.oneof(...variants.map((variant) => object({ ...variant, properties: { ...properties, ...variant.properties } })));
  if (variants) {
    const asked = variants.map((variant) => variant.required ?? []);
    return fc.oneof(
      ...asked.map((mine) => {
        const others = asked.filter((each) => each !== mine).flat();
        const kept = Object.fromEntries(Object.entries(properties).filter(([name]) => mine.includes(name) || !others.includes(name)));
        return object({ properties: kept, required: [...required, ...mine] });
      }),
    );
  }
  const values = Object.fromEntries(Object.entries(properties).map(([name, inner]) => [name, of(inner)]));
  return fc.record(values, { requiredKeys: required as string[] });
}
