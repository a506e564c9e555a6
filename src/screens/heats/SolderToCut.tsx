"use client";

import { cuttingList } from "@/core/heats/cutting";
import { type Pallions, laidAt } from "@/core/heats/solder";
import { doubtAmong } from "@/core/piece/doubt";
import { type Plan, type PlannedJoint, heatOf } from "@/core/piece/plan";
import { useDoubt } from "@/ui/doubt";
import { useHighlight } from "@/ui/highlight";
import { usePlan } from "@/ui/plan";
import { useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { cutSolderText } from "@/words/torch";
import { JointTag } from "./JointTag";
import { solderToCutText } from "@/words/screens/heats";

const WIDTH = 250;
const TALL = 20;

/** All the solder of the piece, by grade, to be cut before the first heat; and its pieces along each joint, all to one scale. */
export function SolderToCut() {
  const plan = usePlan();
  const units = useUnits();
  const doubtOf = useDoubt();
  const copies = useSessionState(({ piece }) => piece.copies ?? 1);
  const list = cuttingList(plan.heats, copies);
  if (list.length === 0) return null;
  const laid = plan.joints.flatMap((joint) => {
    const solder = heatOf(plan, joint.id)?.solder;
    return solder && doubtAmong(joint.follows, doubtOf) === null ? [{ joint, solder }] : [];
  });
  const perMm = WIDTH / Math.max(1, ...laid.map(({ joint }) => joint.length));
  return (
    <section aria-label={solderToCutText.solderToCut}>
      <h2 className="section-head mt-3">{solderToCutText.solderToCut}</h2>
      <ul>
        {list.map((cut, i) => (
          <li key={i} className="border-t border-hair py-1 text-sm leading-text">
            {cutSolderText(cut, plan, units, doubtOf)}
          </li>
        ))}
      </ul>
      <ul aria-hidden="true" className="border-t border-hair pt-1.5">
        {laid.map(({ joint, solder }) => (
          <Along key={joint.id} joint={joint} solder={solder} plan={plan} perMm={perMm} />
        ))}
      </ul>
    </section>
  );
}

interface AlongProps {
  readonly joint: PlannedJoint;
  readonly solder: Pallions;
  readonly plan: Plan;
  readonly perMm: number;
}

/** A joint's length with its pieces of solder on it. */
function Along({ joint, solder, plan, perMm }: AlongProps) {
  const { isHighlighted, handlers } = useHighlight(joint.id);
  const side = solder.size[1];
  return (
    <li {...handlers} className={`flex items-center gap-1.5 ${isHighlighted ? "bg-accent-wash" : ""}`}>
      <JointTag joint={joint.id} plan={plan} />
      <svg viewBox={`0 0 ${WIDTH} ${TALL}`} className="block w-full">
        <line x1={0} x2={joint.length * perMm} y1={TALL - 4} y2={TALL - 4} stroke="var(--color-metal-mid)" strokeWidth={2} />
        {laidAt(solder, joint.length).map((at, i) => (
          <rect
            key={i}
            x={(at - side / 2) * perMm}
            y={TALL - 5 - side * perMm}
            width={side * perMm}
            height={side * perMm}
            rx={solder.form === "paste" ? (side * perMm) / 2 : 0}
            fill="var(--color-ochre)"
          />
        ))}
      </svg>
    </li>
  );
}
