import { sectionArea } from "../../metal/section";
import { type LayerKind } from "./layer";
import { noStock } from "./stock";
import { bentLayer } from "./wire-work";

/** A plain wire: round, square, or half-round with its flat side down. */
export const wire: LayerKind = {
  plan: (asked) => {
    const { section, width, height } = asked.layer;
    const area = sectionArea({ shape: section, width, thickness: height });
    return bentLayer(asked, { volume: area, contact: section === "round" ? width / 2 : width, face: area, shape: section });
  },
  faults: noStock,
};
