import { step } from "../../making/step";
import { sum, term } from "../../measure/figure";
import { bandLength, endLosses, wrapping } from "../band";
import { flat, saddle } from "../seat";
import { type FormKind, NOTHING_MORE } from "./form";

/** A band whose ends stay apart at the back, so that it can be opened and closed: pi (ID + 2e) less the gap. */
export const adjustable: FormKind = {
  netLength: (hoop, inside) => sum("mm", [...bandLength(hoop, inside).terms, term("openGap", -hoop.openGap.value, hoop.openGap.from)]),
  losses: endLosses,
  seams: () => [],
  bent: (hoop) => [...wrapping(), step("hoop", "hoop.ends", { checks: ["ends.round"], values: { gap: hoop.openGap.value } })],
  seat: (hoop, outside, base) =>
    hoop.flatWidth ? flat(hoop, hoop.flatWidth, outside, base) : saddle(hoop, hoop.saddleWidth, outside, base),
  marks: (_hoop, net) => [
    { code: "oneEnd", at: 0 },
    { code: "front", at: net / 2 },
    { code: "otherEnd", at: net },
  ],
  opening: (hoop, inside) => ({ at: "back", half: hoop.openGap.value / (inside + hoop.section.thickness) }),
  extra: () => NOTHING_MORE,
};
