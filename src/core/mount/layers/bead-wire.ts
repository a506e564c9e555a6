import { smallBead } from "./beads";
import { type LayerAsked, type LayerKind } from "./layer";
import { type LinePiece } from "./line";
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
        onRule: { balls: beadsOnRule(asked, pieces), turns: 0 },
      }),
    });
  },
  faults: noStock,
};

/** Along the pieces as they are cut, one after another. */
function beadsOnRule({ layer: { width }, losses }: LayerAsked, pieces: readonly LinePiece[]): number[] {
  const cut = pieces.map(({ length }) => length + losses.squaring.value + losses.mark.value);
  return cut.flatMap((length, i) => {
    const start = cut.slice(0, i).reduce((all, each) => all + each, 0);
    return Array.from({ length: Math.floor(length / width) }, (_, k) => start + (k + 0.5) * width);
  });
}
