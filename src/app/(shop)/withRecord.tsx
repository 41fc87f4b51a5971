import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { RecordAway } from "@/ui/states/RecordAway";
import { isAway, WorkProblem } from "@/work/problems";

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** Render from the record; a page of its own where the record can't be reached, or does not hold what was asked. */
export async function withRecord<T>(read: () => Promise<T>, render: (value: T) => ReactNode | Promise<ReactNode>): Promise<ReactNode> {
  let value: T;
  try {
    value = await read();
  } catch (error) {
    if (isAway(error)) return <RecordAway />;
    if (error instanceof WorkProblem && error.problem.status === 404) notFound();
    throw error;
  }
  return await render(value);
}

/** An id from the address bar; anything else is not here. */
export function asId(text: string): string {
  if (!UUID.test(text)) notFound();
  return text;
}
