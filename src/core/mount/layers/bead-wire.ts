import { smallBead } from "./beads";
import { type LayerKind } from "./layer";
import { noStock } from "./stock";
import { bentLayer } from "./wire-work";

/** Wire rolled to a row of beads that touch: a ball of its width to each width of its length. */
export const beadWire: LayerKind = {
  plan: (asked) => {
    const { width } = asked.layer;
    return bentLayer(asked, {
      volume: (Math.PI * width * width) / 6,
      contact: width / 2,
      face: (Math.PI * width * width) / 4,
      shape: "round",
      findings: smallBead(asked),
      drawn: ({ pieces, track }) => ({
        balls: pieces.flatMap(({ along, length }) => {
          const count = Math.max(1, Math.round(length / width));
          return Array.from({ length: count }, (_, i) => ({
            at: track.pointAt(along + ((i + 0.5) * length) / count),
            radius: width / 2,
          }));
        }),
      }),
    });
  },
  faults: noStock,
};
