"use client";

import { toHundredth } from "@/core/measure/micron";
import { type Mount } from "@/core/piece/piece";
import { LEAST_TURN_IN } from "@/core/stone/stone";
import { DragHandle } from "@/ui/DragHandle";
import { Knob } from "@/ui/Drawing";
import { usePlan } from "@/ui/plan";
import { useSession } from "@/ui/session";
import { stoneOf } from "./fields";
import { turnInCurveText } from "@/words/screens/stone";

const KEY_STEP = 0.05;

/** The heights at which the side leans in, along the tape: dragged up, down and along, or moved with the arrow keys. */
export function TurnInCurve({ mount }: { readonly mount: Mount }) {
  const session = useSession();
  const plan = usePlan();
  const { stone } = mount;
  const { turnIn } = plan.drawing.settings[mount.id]!;
  const tape = plan.drawing.laid[`${mount.id}.stone`]!;
  if (typeof stone.turnIn === "number") return null;
  const most = stone.height - LEAST_TURN_IN;
  const put = (index: number, at: number, height: number) =>
    session.change((piece) => {
      const { turnIn } = stoneOf(piece, mount.id);
      if (typeof turnIn === "number") return;
      turnIn[index] = {
        at: Math.round(Math.min(1, Math.max(0, at)) * 1000) / 1000,
        height: toHundredth(Math.min(most, Math.max(LEAST_TURN_IN, height))),
      };
    });
  return stone.turnIn.map(({ at, height }, i) => {
    return (
      <DragHandle
        key={i}
        label={turnInCurveText.heightAtOfTheWay(Math.round(at * 100))}
        now={height}
        most={most}
        isUpright
        lights={`turnIn.${i}`}
        onDrag={([along, up]) => put(i, along / tape.length, up)}
        onStep={(by) => put(i, at, height + by * KEY_STEP)}
      >
        {(isHighlighted) => <Knob at={turnIn.nodes[i]!} isHighlighted={isHighlighted} />}
      </DragHandle>
    );
  });
}
