"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Problem } from "@/core/problem";
import type { EventBody } from "@/core/record/events.schema";
import { send } from "../forms/send";
import { whoIsHere } from "../frame/AtBench";
import { useShop } from "../frame/now";

/** One of several entries that go up in one request. */
interface Sent {
  readonly key: string;
  readonly body: EventBody;
  /** When it was done, ISO 8601; absent = now. */
  readonly at?: string;
  readonly air_then?: boolean;
}

/** What the record answers to a write-up. */
interface Answer {
  readonly version: number;
  readonly written: ReadonlyArray<{ readonly key: string }>;
  readonly refused: ReadonlyArray<{ readonly key: string; readonly detail: string }>;
}

/** Several entries in one request and one transaction: what stands, what the record would not take, and why. */
export function useSendingAll(treatment: string, version: number) {
  const router = useRouter();
  const { people } = useShop();
  const [refusals, setRefusals] = useState<ReadonlyMap<string, string>>(new Map());
  const [problem, setProblem] = useState<Problem>();
  const [kept, setKept] = useState(0);
  const [busy, setBusy] = useState(false);
  /** The keys of what stands in the record now; undefined where nothing was taken. */
  const sent = async (entries: readonly Sent[]): Promise<ReadonlySet<string> | undefined> => {
    setBusy(true);
    const who = whoIsHere();
    const by = people.includes(who) ? { by: who } : {};
    const answer = await send<Answer>("POST", `/api/treatments/${treatment}/written-up`, {
      // what others wrote meanwhile was told: the next press knows of it
      version: Math.max(version, problem?.version ?? 0),
      entries: entries.map((entry) => ({ ...entry, ...by })),
    });
    setBusy(false);
    setProblem(answer.ok ? undefined : answer.problem);
    router.refresh();
    if (!answer.ok) return undefined;
    const stands = new Set(answer.value.written.map(({ key }) => key));
    setRefusals(new Map(answer.value.refused.map(({ key, detail }) => [key, detail])));
    setKept(stands.size);
    return stands;
  };
  return { sent, refusals, problem, kept, busy };
}
