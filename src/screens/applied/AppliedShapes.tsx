"use client";

import { type Applied } from "@/core/applied/applied";
import { reachOf } from "@/core/applied/clearance";
import { turned } from "@/core/bail/hang";
import { toTwentieth } from "@/core/measure/micron";
import { DragHandle } from "@/ui/DragHandle";
import { Knob } from "@/ui/Drawing";
import { usePlan } from "@/ui/plan";
import { useSession } from "@/ui/session";
import { APPLIED_NAMES, capital } from "@/words/names";
import { appliedShapesText } from "@/words/screens/applied";

const STEP = 0.1;

function lineOf(isHighlighted: boolean) {
  const stroke = isHighlighted ? { stroke: "var(--color-accent)", strokeWidth: 2 } : { stroke: "var(--color-soft)", strokeWidth: 1 };
  return { fill: "var(--color-metal-pale)", vectorEffect: "non-scaling-stroke", ...stroke } as const;
}

/** What is put on the parts of a setting, in its plane. */
function useAppliedOn(mount: string): readonly Applied[] {
  const { parts, drawing } = usePlan();
  return drawing.applied.filter(({ on }) => parts.find(({ id }) => id === on)?.mount === mount);
}

/** It as it lies on a setting that is not to be changed there. */
export function AppliedAsItIs({ mount }: { readonly mount: string }) {
  return useAppliedOn(mount).map((each) => <FromAbove key={each.id} applied={each} isHighlighted={false} />);
}

function FromAbove({ applied: { shaped, at, turn }, isHighlighted }: { readonly applied: Applied; readonly isHighlighted: boolean }) {
  const [x, y] = at;
  const [along, across] = shaped.half;
  const line = lineOf(isHighlighted);
  if (!shaped.isRound)
    return <rect transform={`rotate(${turn} ${x} ${y})`} x={x - along} y={y - across} width={2 * along} height={2 * across} {...line} />;
  return (
    <>
      <circle cx={x} cy={y} r={along} {...line} />
      {shaped.hole > 0 && <circle cx={x} cy={y} r={shaped.hole} {...line} fill="var(--color-paper)" />}
    </>
  );
}

/** It seen from above in millimetres, dragged where it lies, or moved with the arrow keys. */
export function AppliedInPlan({ mount }: { readonly mount: string }) {
  const session = useSession();
  return useAppliedOn(mount).map((applied) => {
    const { id, name, shape, at } = applied;
    const [x, y] = at;
    const put = (px: number, py: number) =>
      session.change((piece) => {
        piece.applied!.find((each) => each.id === id)!.at = [toTwentieth(px), toTwentieth(py)];
      }, `applied.${id}.at`);
    return (
      <g key={id}>
        <DragHandle
          label={capital(name ?? APPLIED_NAMES[shape])}
          now={x}
          most={100}
          told={`${x.toFixed(2)}, ${y.toFixed(2)}`}
          lights={`applied.${id}`}
          onDrag={([px, py]) => put(px, py)}
          onStep={(_by, [dx, dy]) => put(x + dx * STEP, y + dy * STEP)}
        >
          {(isHighlighted) => <FromAbove applied={applied} isHighlighted={isHighlighted} />}
        </DragHandle>
        {!applied.shaped.isRound && <TurnHandle applied={applied} />}
      </g>
    );
  });
}

/** Degrees that a key turns it by, and how far past its end it is turned by (mm). */
const TURN_STEP = 5;
const PAST = 0.8;

/** What is longer one way, turned by its end. */
function TurnHandle({ applied: { id, name, shape, shaped, at, turn } }: { readonly applied: Applied }) {
  const session = useSession();
  const [x, y] = at;
  const way = (turn * Math.PI) / 180;
  const far = shaped.half[0] + PAST;
  const put = (degrees: number) =>
    session.change((piece) => {
      piece.applied!.find((each) => each.id === id)!.turn = Math.round(turned(degrees) * 10) / 10;
    }, `applied.${id}.turn`);
  return (
    <DragHandle
      label={appliedShapesText.turnOf(name ?? APPLIED_NAMES[shape])}
      now={turn}
      most={180}
      told={appliedShapesText.degrees(turn.toFixed(1))}
      lights={`applied.${id}`}
      onDrag={([px, py]) => put((Math.atan2(py - y, px - x) * 180) / Math.PI)}
      onStep={(by) => put(turn + by * TURN_STEP)}
    >
      {(isHighlighted) => <Knob at={[x + far * Math.cos(way), y + far * Math.sin(way)]} isHighlighted={isHighlighted} />}
    </DragHandle>
  );
}

/** The same on a hoop seen along the finger, its centre at (0, 0); moved along it by drag and keys. */
export function AppliedOnHoop({ applied, outside }: { readonly applied: readonly Applied[]; readonly outside: number }) {
  const session = useSession();
  return applied.map((each) => {
    const { id, name, shape, shaped, along } = each;
    const put = (mm: number) =>
      session.change((piece) => {
        piece.applied!.find((each) => each.id === id)!.along = toTwentieth(mm);
      }, `applied.${id}.along`);
    const [half] = reachOf(each);
    return (
      <DragHandle
        key={id}
        label={capital(name ?? APPLIED_NAMES[shape])}
        now={along}
        most={100}
        lights={`applied.${id}`}
        onDrag={([px, py]) => put(Math.atan2(px, py) * outside)}
        onStep={(by) => put(along - by * STEP * 5)}
      >
        {(isHighlighted) => {
          const line = lineOf(isHighlighted);
          return (
            <g transform={`rotate(${(-along / outside / Math.PI) * 180}) translate(0 ${outside})`}>
              {shaped.melted !== null ? (
                <circle cx={0} cy={half} r={half} {...line} />
              ) : (
                <rect x={-half} y={0} width={2 * half} height={shaped.height} {...line} />
              )}
            </g>
          );
        }}
      </DragHandle>
    );
  });
}
