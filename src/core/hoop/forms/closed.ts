import { saddle } from "../seat";
import { type FormKind } from "./form";

/** A band closed by one seam at the back; what it carries is filed to its curve. */
export const closed: FormKind = {
  seat: "saddle",
  seatOn: ({ section, outside, base, saddleWidth }) => saddle(section, saddleWidth, outside, base),
};
