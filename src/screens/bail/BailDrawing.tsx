"use client";

import { toHundredth } from "@/core/measure/micron";
import { type DrawnHang } from "@/core/bail/hanging";
import { type Point, nearestStation } from "@/core/geometry/outline";
import { type Spot, turned } from "@/core/bail/hang";
import { boxOf } from "@/core/geometry/curve";
import { type Piece } from "@/core/piece/piece";
import { bailIn, sharersOf } from "@/core/piece/plan";
import { DragHandle } from "@/ui/DragHandle";
import { BailShape, type DrawnBail, EarWireFront, HungShapes, reachOf, turnOf } from "@/ui/pictures/Hung";
import { Knob, Millimetres, NARROW, type Scale, Shape, Sheet, Word, scaleFor, scaleText } from "@/ui/Drawing";
import { StoneFill } from "@/ui/StoneFill";
import { usePlan } from "@/ui/plan";
import { useSession, useWhileHeld } from "@/ui/session";
import { type Size } from "@/ui/useSize";
import { AppliedAsItIs } from "../applied/AppliedShapes";
import { BeadFill, LayerShapes } from "../plate/LayerShapes";
import { namesIn } from "@/words/names";
import { FromTheSide } from "./FromTheSide";
import { putEye } from "./fields";
import { type bailView } from "./view";
import { bailDrawingText } from "@/words/screens/bail";

interface Props {
  readonly size: Size;
  readonly piece: Piece;
  readonly mount: string;
  readonly view: ReturnType<typeof bailView>;
}

const SHARE = { usual: 0.7, narrow: 0.64 } as const;
/** mm of room between two that hang side by side, and past the ends of what hangs. */
const APART = 5;
const MARGIN = 2.5;

/** One of what hangs: a setting, or its mirror. */
interface Hanging {
  readonly hang: DrawnHang;
  readonly isMirror: boolean;
}

/** The piece as it hangs: its plumb line, where it balances, and a scale of degrees round its edge; and from the side. */
export function BailDrawing({ size, piece, mount, view }: Props) {
  const plan = usePlan();
  const { drawn, settled } = bailIn(plan)!;
  const isNarrow = size.width < NARROW;
  const all = drawn.hangs.flatMap((hang): Hanging[] =>
    piece.copies === 2
      ? [
          { hang, isMirror: false },
          { hang, isMirror: true },
        ]
      : [{ hang, isMirror: false }],
  );
  const reaches = all.map(({ hang }) => reachOf(plan.drawing.settings[hang.mount]!.plan.plateEdge, hang, drawn));
  const wide = reaches.reduce((sum, { left, right }) => sum + left + right, 0) + APART * (all.length - 1);
  const up = Math.max(...reaches.map((each) => each.up));
  const down = Math.max(...reaches.map((each) => each.down)) + MARGIN;
  const share = isNarrow ? SHARE.narrow : SHARE.usual;
  const room = { width: size.width * share - (isNarrow ? 20 : 150), height: size.height - (isNarrow ? 120 : 80) };
  const frame = useWhileHeld({
    scale: scaleFor(wide, up + down, room.width, room.height),
    reaches,
    up,
    lies: all.map(({ hang }) => ({ turn: turnOf(hang), origin: hang.eyes[0]!.pivot })),
  });
  const { scale } = frame;
  const k = scale.perMm;
  const middleX = (size.width * share) / 2;
  const y = 48 + frame.up * k;
  const start = middleX - (wide * k) / 2;
  const lie = all.map((each, i) => {
    const held = reaches.map((own, j) => frame.reaches[j] ?? own);
    const before = held.slice(0, i).reduce((sum, { left, right }) => sum + left + right + APART, 0);
    const x = start + (before + held[i]!.left) * k;
    return { ...each, x, ...(frame.lies[i] ?? { turn: turnOf(each.hang), origin: each.hang.eyes[0]!.pivot }) };
  });
  const shown = lie.find(({ hang, isMirror }) => hang.mount === mount && !isMirror)!;
  return (
    <Sheet width={size.width} height={size.height} label={bailDrawingText.asItHangsLabel}>
      {piece.mounts.map(({ id, stone }) => (
        <StoneFill key={id} id={`stone-${id}`} material={stone.material?.name ?? stone.name ?? ""} />
      ))}
      <defs>
        <BeadFill />
      </defs>
      <Word x={14} y={24}>
        {bailDrawingText.asItHangs(scaleText(scale))}
      </Word>
      {lie.map(({ hang, isMirror, x, turn, origin }) => (
        <g key={`${hang.mount}${isMirror}`}>
          <Millimetres x={x} y={y} scale={scale}>
            {drawn.earWire && <EarWireFront wire={drawn.earWire} />}
            <g transform={isMirror ? "scale(-1 1)" : ""}>
              <g transform={`rotate(${turn}) translate(${-origin[0]} ${-origin[1]})`}>
                <HangingSetting hang={hang} drawn={drawn} mount={hang.mount} isShown={hang.mount === mount && !isMirror} perMm={k} />
              </g>
            </g>
          </Millimetres>
        </g>
      ))}
      <Plumb lie={shown} y={y} scale={scale} down={down} view={view} isWorded={!isNarrow} isSingle={lie.length === 1} />
      {lie.length > 1 &&
        lie.map(({ hang, isMirror, x }) => (
          <Word key={`${hang.mount}${isMirror}`} x={x} y={size.height - 16} textAnchor="middle">
            {isMirror ? bailDrawingText.itsMirror : drawn.hangs.length > 1 ? `${namesIn(plan).setting(hang.mount)}, ` : ""}
            {hang.mass.toFixed(2)} g
          </Word>
        ))}
      <FromTheSide
        mount={mount}
        isWorded={!isNarrow}
        hang={shown.hang}
        isOnItsOwn={plan.settled.mounts[mount]!.back.own !== null}
        bail={settled}
        drawn={drawn}
        earWire={drawn.earWire}
        half={lengthAlong(plan.drawing.settings[mount]!.plan.plateEdge, shown.hang)}
        view={view}
        box={{ x: size.width * share, y: 10, width: size.width * (1 - share) - (isNarrow ? 4 : 14), height: size.height - 20 }}
      />
    </Sheet>
  );
}

/** Half of how long the plate is down the plumb line, for the view from the side. */
function lengthAlong(edge: Parameters<typeof boxOf>[0], hang: DrawnHang): number {
  const { left, right, low, high } = boxOf(edge);
  const axis = (hang.axis * Math.PI) / 180;
  return (Math.abs((right - left) * Math.cos(axis)) + Math.abs((high - low) * Math.sin(axis))) / 2;
}

interface SettingProps {
  readonly hang: DrawnHang;
  readonly drawn: DrawnBail;
  readonly mount: string;
  readonly isShown: boolean;
  readonly perMm: number;
}

/** A setting in its own plane, with what it hangs by, where it would hang straight, and its eye to be dragged round its edge. */
function HangingSetting({ hang, drawn, mount, isShown, perMm }: SettingProps) {
  const { settings } = usePlan().drawing;
  const { plan } = settings[mount]!;
  return (
    <>
      {isShown && hang.straight && Math.abs(hang.tilt) > 0.05 && (
        <BailShape
          eye={hang.straight}
          shape={drawn}
          className="opacity-70"
          fill="var(--color-water-pale)"
          stroke="var(--color-accent)"
          strokeDasharray="3 3"
        />
      )}
      <HungShapes hang={hang} drawn={drawn} />
      <Shape curve={plan.plateEdge} fill="var(--color-metal-pale)" stroke="var(--color-metal-edge)" lights="plate" />
      <Shape curve={plan.wallOutside} fill="var(--color-metal-bright)" stroke="var(--color-metal-mid)" lights="wall" />
      <Shape curve={plan.stone} fill={`url(#stone-${mount})`} stroke="var(--color-shade)" lights="stone" />
      {plan.layers.map((layer) => (
        <LayerShapes key={layer.id} layer={layer} isChosen={false} />
      ))}
      {sharersOf(settings, mount).map(([id, { plan: other }]) => (
        <g key={id}>
          <Shape curve={other.wallOutside} fill="var(--color-metal-bright)" stroke="var(--color-metal-mid)" lights="wall" />
          <Shape curve={other.stone} fill={`url(#stone-${id})`} stroke="var(--color-shade)" lights="stone" />
          {other.layers.map((layer) => (
            <LayerShapes key={layer.id} layer={layer} isChosen={false} />
          ))}
        </g>
      ))}
      <AppliedAsItIs mount={mount} />
      {isShown && <TiltScale hang={hang} perMm={perMm} />}
      {isShown && <EyeHandle hang={hang} mount={mount} />}
    </>
  );
}

/** Room that a number of degrees wants along the edge (mm). */
const NUMBER_ROOM = 1.4;
/** How tall a number of degrees is (mm), and the smallest that can be read (px). */
const DEGREE = 0.95;
const SMALLEST = 11;

/** Degrees of tilt along the edge; every tenth is told where there is room, else every twentieth or thirtieth. */
function TiltScale({ hang, perMm }: { readonly hang: DrawnHang; readonly perMm: number }) {
  const turn = turnOf(hang);
  const told = [10, 20].find((step) => step / hang.perMillimetre > NUMBER_ROOM) ?? 30;
  return (
    <g pointerEvents="none">
      {hang.scale.map(({ edge: [x, y], out: [ox, oy], tilt }) => {
        const long = tilt % 10 === 0 ? 1.6 : tilt % 10 === 5 ? 1.1 : 0.8;
        const [tx, ty] = [x + (ox - x) * 2.3, y + (oy - y) * 2.3];
        return (
          <g key={`${tilt} ${x}`}>
            <line
              x1={x}
              y1={y}
              x2={x + (ox - x) * long}
              y2={y + (oy - y) * long}
              stroke={tilt === 0 ? "var(--color-accent)" : "var(--color-soft)"}
              strokeWidth={tilt % 10 === 0 ? 1.4 : 0.8}
              vectorEffect="non-scaling-stroke"
            />
            {tilt % told === 0 && (
              <text
                transform={`translate(${tx} ${ty}) rotate(${-turn}) scale(1 -1)`}
                fontSize={Math.max(DEGREE, SMALLEST / perMm)}
                textAnchor="middle"
                fill={tilt === 0 ? "var(--color-accent)" : "var(--color-metal-deep)"}
                fontWeight={tilt === 0 ? 700 : 500}
              >
                {Math.abs(tilt)}°
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** mm along the edge that an arrow key moves the eye by, and degrees round a point. */
const STEP = 0.1;
const ROUND_STEP = 2;

/** The point of the outline that lies at a place. */
function pointOf({ points }: DrawnHang, at: number) {
  return points.find((point) => Math.abs(point.at - at) < SAME_PLACE) ?? null;
}
const SAME_PLACE = 1e-6;

/** Where an eye comes to lie that is dragged to somewhere near a place: on a point of the outline turned the way it is dragged. */
function spotAt(hang: DrawnHang, at: number, [x, y]: Point): Spot {
  const point = pointOf(hang, at);
  if (!point) return { at, turn: 0 };
  const way = turned((Math.atan2(y - point.y, x - point.x) * 180) / Math.PI - point.middle);
  return { at, turn: Math.min(point.half, Math.max(-point.half, way)) };
}

/** One step on: round a point that it stands on, as far as that goes, then along the edge; what would step over a point stops on it. */
function spotBeside(hang: DrawnHang, eye: Spot, by: 1 | -1, step: number): Spot {
  const point = pointOf(hang, eye.at);
  if (point && by * eye.turn < point.half) return { at: eye.at, turn: by * Math.min(point.half, by * eye.turn + ROUND_STEP) };
  const met = hang.points.find((each) => {
    const ahead = by * turned((each.at - eye.at) * 360);
    return ahead > SAME_PLACE * 360 && ahead <= step * 360;
  });
  return met ? { at: met.at, turn: -by * met.half } : { at: eye.at + by * step, turn: 0 };
}

function EyeHandle({ hang, mount }: { readonly hang: DrawnHang; readonly mount: string }) {
  const session = useSession();
  const { places, perimeter } = hang;
  const eye = hang.eyes.at(-1)!;
  const put = ({ at, turn }: Spot) => session.change((piece) => putEye(piece, mount, at, turn), `${mount}.bail.eye`);
  return (
    <DragHandle
      label={bailDrawingText.eyeAlongTheEdge}
      now={toHundredth(hang.aside)}
      most={perimeter / 2}
      told={bailDrawingText.mmHangsDegreesOff(hang.aside.toFixed(2), hang.tilt.toFixed(1))}
      lights="eye"
      onDrag={(to) => put(spotAt(hang, nearestStation(places, to).at, to))}
      onStep={(by) => put(spotBeside(hang, eye, by, STEP / perimeter))}
    >
      {(isHighlighted) => <Knob at={eye.edge} isHighlighted={isHighlighted} />}
    </DragHandle>
  );
}

interface PlumbProps {
  readonly lie: Hanging & { readonly x: number; readonly turn: number; readonly origin: Point };
  readonly y: number;
  readonly scale: Scale;
  readonly down: number;
  readonly view: Props["view"];
  readonly isWorded: boolean;
  readonly isSingle: boolean;
}

/** The plumb line from the eye, where it balances, and the line that should lie along it. */
function Plumb({ lie: { hang, x: ox, turn, origin }, y: oy, scale, down, view, isWorded, isSingle }: PlumbProps) {
  const k = scale.perMm;
  const angle = (turn * Math.PI) / 180;
  const place = ([px, py]: Point): Point => {
    const [dx, dy] = [px - origin[0], py - origin[1]];
    return [ox + (dx * Math.cos(angle) - dy * Math.sin(angle)) * k, oy - (dx * Math.sin(angle) + dy * Math.cos(angle)) * k];
  };
  const [x, y] = place(hang.eyes[0]!.pivot);
  const plumb = ((turnOf(hang) - turn) * Math.PI) / 180;
  const [bx, by] = place(hang.balance);
  const way = angle + (hang.axis * Math.PI) / 180;
  const long = down * k;
  const [ax, ay] = [x + Math.cos(way) * long, y - Math.sin(way) * long];
  const isCrooked = !view.isStraight;
  return (
    <g pointerEvents="none">
      <g transform={`rotate(${(plumb * 180) / Math.PI} ${x} ${y})`}>
        <line x1={x} x2={x} y1={y} y2={y + long} stroke="var(--color-ink)" strokeWidth={1.2} />
        <path d={`M${x} ${y + long}l-4 6 4 16 4 -16z`} fill="var(--color-metal-mid)" stroke="var(--color-metal-deep)" />
      </g>
      {isCrooked && <line x1={x} x2={ax} y1={y} y2={ay} stroke="var(--color-accent)" strokeDasharray="5 4" />}
      <circle cx={bx} cy={by} r={8} fill="var(--color-white)" stroke="var(--color-ink)" strokeWidth={1.6} />
      <path
        d={`M${bx} ${by}V${by - 8}A8 8 0 0 1 ${bx + 8} ${by}ZM${bx} ${by}V${by + 8}A8 8 0 0 1 ${bx - 8} ${by}Z`}
        fill="var(--color-ink)"
      />
      {isCrooked && isSingle && (
        <>
          <Word
            x={ax + (hang.tilt > 0 ? -8 : 8)}
            y={ay - 20}
            textAnchor={hang.tilt > 0 ? "end" : "start"}
            fontSize={20}
            fontWeight={680}
            fill="var(--color-warn)"
          >
            {view.tilt}°
          </Word>
          {isWorded && (
            <Word x={ax + (hang.tilt > 0 ? -8 : 8)} y={ay - 4} textAnchor={hang.tilt > 0 ? "end" : "start"} fontSize={12}>
              {view.swings}
            </Word>
          )}
        </>
      )}
      {isWorded && isSingle && (
        <>
          <path d={`M${bx + 9} ${by}L${x + 118} ${by - 26}`} stroke="var(--color-ink)" strokeWidth={0.8} fill="none" />
          <Word x={x + 122} y={by - 30} fontSize={13} fontWeight={640} fill="var(--color-ink)" lights="balance">
            {bailDrawingText.centreOfMass}
          </Word>
          <Word x={x + 122} y={by - 14} fontSize={12}>
            {view.balance}
          </Word>
          <Word x={x + 96} y={y + 6} fontSize={13} fontWeight={640} fill="var(--color-ink)" lights="eye">
            {bailDrawingText.eyeDraggedAlongTheEdge}
          </Word>
          <Word x={x + 96} y={y + 22} fontSize={12}>
            {view.eachMillimetre}
          </Word>
        </>
      )}
    </g>
  );
}
