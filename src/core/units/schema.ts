import { type Static, type TObject, type TProperties, type TSchema, Type } from "@sinclair/typebox";
import { NEXT_TO_NOTHING } from "./number";

/** An object that refuses unknown fields. */
export const strict = <P extends TProperties>(properties: P, options = {}): TObject<P> =>
  Type.Object(properties, { additionalProperties: false, ...options });

/** One of a closed list of words; a plain `enum`, so that an error names the list once. */
export const oneOf = <T extends string>(words: readonly T[], options = {}) =>
  Type.Unsafe<T>({ type: "string", enum: [...words], ...options });

/** A union told apart by one field, so that an error speaks of the variant that was meant. */
export const tagged = <S extends TSchema[]>(tag: string, variants: [...S]) =>
  Type.Unsafe<Static<S[number]>>({
    type: "object",
    discriminator: { propertyName: tag },
    required: [tag],
    oneOf: variants,
  });

/** Above zero, with a ceiling that keeps slips of the decimal point and of the unit out. */
export const above0 = (maximum = 1e6) => Type.Number({ exclusiveMinimum: NEXT_TO_NOTHING, maximum });
export const from0 = (maximum = 1e6) => Type.Number({ minimum: 0, maximum });
export const percent = () => Type.Number({ minimum: 0, maximum: 500 });
export const celsius = () => Type.Number({ minimum: -60, maximum: 300 });
export const instant = () => Type.String({ format: "date-time" });
export const name = () => Type.String({ minLength: 1, maxLength: 200 });

export const Warning = strict({ code: Type.String(), message: Type.String() });
export type Warning = Static<typeof Warning>;

/** What every result carries: the formula with its source, and what the asker should know. */
export const carried = {
  basis: strict({ formula: Type.String(), source: Type.String() }),
  warnings: Type.Array(Warning),
};
