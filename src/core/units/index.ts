export * from "./duration";
export * from "./length";
export * from "./number";
export * from "./time";
