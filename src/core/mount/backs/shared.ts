import { NOTHING } from "../../joint/contribution";
import { rimOn } from "../../geometry/rim";
import { type BackType, NO_PLATE } from "./back";
import { overEdge } from "./on-plate";
import { footOf } from "./plate";

/** The plate of another setting, which this one stands on too: a foot of its own on a part that is there. */
export const shared: BackType = {
  plan: (asked) => {
    const { on, mount, outline } = asked;
    if (!on) throw new RangeError(`${mount} shares no plate`);
    const foot = footOf(asked, on);
    const rim = rimOn(outline, on.edge);
    return {
      ...NOTHING,
      rim,
      sawLine: rimOn(outline, (by) => on.edge(by + on.sawMargin)),
      figures: foot.figures,
      findings: overEdge(asked, rim.loop),
      joints: [foot.joint],
      tie: { part: on.part, after: [foot.joint.id] },
      thickness: on.thickness,
      base: on.thickness,
      finishing: on.finishing,
      ledge: null,
      plate: null,
      sphere: on.sphere,
      rise: on.rise,
      drawn: { ...NO_PLATE, plate: on.part },
    };
  },
};
