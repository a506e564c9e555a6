"use client";

import { type Point, type Station, nearestStation } from "@/core/geometry/outline";
import { type DrawnLayer } from "@/core/mount/layers/layer";
import { type OrnamentEntry } from "@/core/piece/piece";
import { DragHandle } from "@/ui/DragHandle";
import { Knob } from "@/ui/Drawing";
import { useSession } from "@/ui/session";
import { LAYER_NAMES, capital } from "@/words/names";
import { editableOne, snapped } from "./ornament-edit";
import { stretchHandlesText } from "@/words/screens/plate";

const KEY_STEP = 0.005;

interface Props {
  readonly mount: string;
  readonly layer: DrawnLayer;
  readonly entry: OrnamentEntry;
  readonly others: readonly OrnamentEntry[];
  readonly places: readonly Station[];
}

/** The ends of an ornament's stretches, dragged along the wall or stepped with the arrow keys; they snap to where others end. */
export function StretchHandles({ mount, layer, entry, others, places }: Props) {
  const session = useSession();
  const { extent = "all" } = entry;
  if (extent === "all") return null;
  const put = (stretch: number, end: 0 | 1, at: number) =>
    session.change((piece) => {
      const one = editableOne(piece, mount, entry.id);
      if (Array.isArray(one.extent)) one.extent[stretch]![end] = at - Math.floor(at);
    }, `${mount}.plate.ornament.${entry.id}.extent.${stretch}`);
  return layer.ends.flatMap((ends, i) =>
    ([0, 1] as const).map((end) => {
      const at = extent[i]![end];
      const lies: Point = end === 0 ? ends.from : ends.to;
      return (
        <DragHandle
          key={`${i}.${end}`}
          label={stretchHandlesText.stretch(
            capital(LAYER_NAMES[entry.type]),
            i + 1,
            end === 0 ? stretchHandlesText.start : stretchHandlesText.end,
          )}
          now={Math.round(at * 1000) / 1000}
          most={1}
          lights={`${layer.part}.${i}.${end}`}
          onDrag={(to) => put(i, end, snapped(nearestStation(places, to).at, others))}
          onStep={(by) => put(i, end, Math.round((at + by * KEY_STEP) * 1e4) / 1e4)}
        >
          {(isHighlighted) => <Knob at={lies} isHighlighted={isHighlighted} />}
        </DragHandle>
      );
    }),
  );
}
