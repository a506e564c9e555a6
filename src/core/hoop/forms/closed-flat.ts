import { flat } from "../seat";
import { type FormKind } from "./form";

/** A closed band filed flat on top, under each mount. */
export const closedFlat: FormKind = {
  seat: "flat",
  seatOn: ({ section, outside, base, flatWidth }) => flat(section, flatWidth, outside, base),
};
