export * from "./drawing";
export * from "./duration";
export * from "./length";
export * from "./number";
export * from "./present";
export * from "./time";
export * from "./words";
