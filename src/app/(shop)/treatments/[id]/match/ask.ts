"use server";
import type { DeskQuestion } from "@/core/views/desk/desk";
import type { DeskAnswer } from "@/ui/match/deskAnswer";
import { DeskInput } from "@/work/inputs.schema";
import { parse } from "@/work/parse";
import { treatmentPage } from "@/work/treatments";
import { answerTo } from "./answer";

/** Judge a question at Match anew, with the rules, the cabinet and the air as they are now. Nothing is saved. */
export async function askDesk(treatment: string, damage: string, input: unknown): Promise<DeskAnswer | undefined> {
  const question = parse(DeskInput, input) as DeskQuestion;
  const page = await treatmentPage(treatment);
  const record = page.treatment.damages.find(({ id }) => id === damage);
  return record && answerTo(page, record, question);
}
