import { type Box, boxOf } from "@/core/geometry/curve";
import { type Drawing, sharersOf } from "@/core/piece/plan";
import { type SolderPlace } from "@/core/piece/solder-places";
import { type SettingDrawing } from "@/core/mount/drawing";
import { Shape } from "../Drawing";

/** What of a setting is there yet, seen from above. */
export interface Shown {
  readonly plate: boolean;
  /** Whether the plate is still its blank, to be sawn. */
  readonly isBlank?: boolean;
  readonly wall: boolean;
  readonly stone: boolean;
  /** Parts of ornament that lie on it. */
  readonly layers: readonly string[];
}

export function boxAbove({ plan }: SettingDrawing, { plate, isBlank = false }: Pick<Shown, "plate" | "isBlank">): Box {
  return boxOf(plate ? (isBlank ? plan.sawLine : plan.plateEdge) : plan.wallOutside);
}

interface Props {
  readonly drawing: SettingDrawing;
  readonly shown: Shown;
  /** The name of its stone's fill. */
  readonly fill: string;
}

/** A setting from above, in mm. */
export function SettingAbove({ drawing: { plan }, shown, fill }: Props) {
  const { plate, isBlank, wall, stone, layers } = shown;
  return (
    <>
      {plate && (
        <>
          {isBlank && <Shape curve={plan.sawLine} fill="url(#metal)" stroke="var(--color-metal-edge)" strokeDasharray="5 3" />}
          <Shape
            curve={plan.plateEdge}
            fill={isBlank ? "none" : "url(#metal)"}
            stroke="var(--color-metal-edge)"
            strokeDasharray={isBlank ? "2 4" : undefined}
          />
        </>
      )}
      {plan.layers
        .filter(({ part }) => layers.includes(part))
        .map(({ part, middles, balls, width }) => (
          <g key={part}>
            <Shape runs={middles} fill="none" stroke="var(--color-metal-edge)" vectorEffect="none" strokeWidth={width} />
            <Shape runs={middles} fill="none" stroke="var(--color-metal-pale)" vectorEffect="none" strokeWidth={width * 0.86} />
            {balls.map(({ at: [cx, cy], radius }, i) => (
              <circle
                key={i}
                cx={cx}
                cy={cy}
                r={radius}
                fill="var(--color-metal-pale)"
                stroke="var(--color-metal-edge)"
                vectorEffect="non-scaling-stroke"
              />
            ))}
          </g>
        ))}
      {wall && <Shape curves={[plan.wallOutside, plan.wallInside]} fill="var(--color-metal-lit)" stroke="var(--color-metal-edge)" />}
      {plan.opening.map((curve, i) => (
        <Shape key={i} curve={curve} fill="none" stroke="var(--color-metal-mid)" />
      ))}
      {stone && <Shape curve={plan.stone} fill={`url(#${fill})`} stroke="var(--color-shade)" />}
    </>
  );
}

/** The other settings on a plate as they stand on it, with their stones where there is a fill for them. */
export function SharersAbove({
  settings,
  host,
  fill,
}: {
  readonly settings: Drawing["settings"];
  readonly host: string;
  readonly fill: string | null;
}) {
  return sharersOf(settings, host).map(([id, drawing]) => (
    <SettingAbove
      key={id}
      drawing={drawing}
      shown={{ plate: false, wall: true, stone: fill !== null, layers: drawing.plan.layers.map(({ part }) => part) }}
      fill={fill ?? ""}
    />
  ));
}

/** Pallions where they lie, at their true size. */
export function Pallions({ places, side }: { readonly places: readonly SolderPlace[]; readonly side: number }) {
  return places.map(({ at: [x, y], turn }, i) => (
    <rect
      key={i}
      x={-side / 2}
      y={-side / 2}
      width={side}
      height={side}
      transform={`translate(${x} ${y}) rotate(${(turn * 180) / Math.PI})`}
      fill="var(--color-ochre)"
      stroke="var(--color-wood-dark)"
      strokeWidth={0.8}
      vectorEffect="non-scaling-stroke"
    />
  ));
}
