"use client";
import { createContext, useContext } from "react";
import type { OperationView } from "@/core/views/operationView";

/** The operation that is open at this station, for what stands beside it: a section lights its layer, a ladder its rung. */
export const OpenOperation = createContext<OperationView | undefined>(undefined);
export const useOpenOperation = () => useContext(OpenOperation);
