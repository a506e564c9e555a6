import { type HoopForm } from "../hoop";
import { adjustable } from "./adjustable";
import { bridge } from "./bridge";
import { closed } from "./closed";
import { closedFlat } from "./closed-flat";
import { type FormKind } from "./form";
import { open } from "./open";

/** Every form of hoop, by its name in the file. */
export const FORMS: Readonly<Record<HoopForm, FormKind>> = { closed, "closed-flat": closedFlat, open, bridge, adjustable };
