import { saddle } from "../seat";
import { bandLength, bandLosses, bandSeam } from "../band";
import { type FormKind } from "./form";

/** A band closed by one seam at the back; what it carries is filed to its curve. */
export const closed: FormKind = {
  netLength: bandLength,
  losses: bandLosses,
  seams: (hoop) => [bandSeam(hoop)],
  seat: ({ section, saddleWidth }, outside, base) => saddle(section, saddleWidth, outside, base),
};
