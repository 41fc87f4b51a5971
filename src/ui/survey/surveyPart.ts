import type { UseFormReturn } from "react-hook-form";
import type { Errors } from "../forms/read";
import type { SurveyForm } from "./surveyForm";

/** What each part of the survey is given: the form, what stands in it, and what is wrong with it. */
export interface SurveyPart {
  readonly form: Pick<UseFormReturn<SurveyForm>, "register" | "setValue">;
  readonly values: SurveyForm;
  readonly errors: Errors;
}
