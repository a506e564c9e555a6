import { closed } from "./closed";
import { closedFlat } from "./closed-flat";
import { type FormKind } from "./form";

/** Every form of hoop that is planned, by its name in the file. */
export const FORMS = { closed, "closed-flat": closedFlat } as const satisfies Readonly<Record<string, FormKind>>;

export type PlannedForm = keyof typeof FORMS;

export function isPlannedForm(form: string): form is PlannedForm {
  return Object.hasOwn(FORMS, form);
}
