import { flat } from "../seat";
import { closed } from "./closed";
import { type FormKind } from "./form";

/** A closed band filed flat on top, under each mount. */
export const closedFlat: FormKind = {
  ...closed,
  seat: (hoop, outside, base) => flat(hoop, hoop.flatWidth, outside, base),
};
