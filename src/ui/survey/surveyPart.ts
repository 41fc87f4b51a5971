import type { UseFormReturn } from "react-hook-form";
import type { FormErrors, SurveyForm } from "./surveyForm";

/** What each part of the survey is given: the form, what stands in it, and what is wrong with it. */
export interface SurveyPart {
  readonly form: UseFormReturn<SurveyForm>;
  readonly values: SurveyForm;
  readonly errors: FormErrors;
}
