import { saddle } from "../seat";
import { bandLength, bandLosses, bandMarks, bandSeams, closing } from "../band";
import { type FormKind, NOTHING_MORE } from "./form";

/** A band closed by one seam at the back; what it carries is filed to its curve. */
export const closed: FormKind = {
  netLength: bandLength,
  losses: bandLosses,
  seams: bandSeams,
  bent: closing,
  seat: (hoop, outside, base) => saddle(hoop, hoop.saddleWidth, outside, base),
  marks: bandMarks,
  opening: () => null,
  extra: () => NOTHING_MORE,
};
