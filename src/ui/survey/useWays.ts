"use client";
import { useEffect, useState } from "react";
import type { Stance } from "@/core/catalogue";
import type { ComparedWay } from "@/core/views/ways";
import { send } from "../forms/send";
import { readSurvey, type SurveyForm } from "./surveyForm";

const PAUSE_MS = 350;

export interface Ways {
  readonly ways: readonly ComparedWay[];
  /** Why there are none now; empty = they are there, or the survey is not whole yet. */
  readonly trouble: string;
}

const NONE: Ways = { ways: [], trouble: "" };

/** The ways to meet what is typed, worked out on the server a moment after the last keystroke. */
export function useWays(treatment: string, values: SurveyForm, stance: Stance, part?: string): Ways {
  const [ways, setWays] = useState(NONE);
  const read = readSurvey(values);
  const question = read.ok ? JSON.stringify({ survey: { ...read.survey, found: undefined }, stance, ...(part ? { part } : {}) }) : "";
  useEffect(() => {
    if (question === "") {
      setWays(NONE);
      return;
    }
    let gone = false;
    const pause = setTimeout(async () => {
      const sent = await send<readonly ComparedWay[]>("POST", `/api/treatments/${treatment}/ways`, JSON.parse(question));
      if (!gone) setWays(sent.ok ? { ways: sent.value, trouble: "" } : { ways: [], trouble: sent.problem.detail });
    }, PAUSE_MS);
    return () => {
      gone = true;
      clearTimeout(pause);
    };
  }, [treatment, question]);
  return ways;
}
