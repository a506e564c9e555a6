"use client";

import { type HoopDrawing as Drawn } from "@/core/hoop/drawing";
import { type Point } from "@/core/geometry/outline";
import { hostOf, hosts } from "@/core/piece/mounts";
import { type Piece } from "@/core/piece/piece";
import { besideSeat, hoopIn } from "@/core/piece/plan";
import { DragHandle } from "@/ui/DragHandle";
import { Knob, Millimetres, NARROW, Shape, Sheet, Word, scaleFor, scaleText } from "@/ui/Drawing";
import { SettingSection } from "@/ui/SectionView";
import { StoneFill } from "@/ui/StoneFill";
import { usePlan } from "@/ui/plan";
import { useSession, useWhileHeld } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { type Size } from "@/ui/useSize";
import { AppliedOnHoop } from "../applied/AppliedShapes";
import { namesIn } from "@/words/names";
import { FromAbove } from "./FromAbove";
import { WireSection } from "./WireSection";
import { putPlace } from "./fields";
import { type hoopView } from "./view";
import { hoopDrawingText } from "@/words/screens/hoop";

interface Props {
  readonly size: Size;
  readonly piece: Piece;
  readonly mount: string;
  readonly view: ReturnType<typeof hoopView>;
}

/** Of the sheet's width what the hoop takes; beside it it is seen from above, and its wire cut across. */
const SHARE = 0.62;
const METAL = { fill: "url(#metal)", stroke: "var(--color-metal-edge)" } as const;

/** The hoop seen along the finger with its settings on it, from above, and its wire cut across. */
export function HoopDrawing({ size, piece, mount, view }: Props) {
  const plan = usePlan();
  const { settings } = plan.drawing;
  const hoop = hoopIn(plan)?.drawn;
  const carrying = new Set(plan.parts.filter(({ kind }) => kind === "hoop" || kind === "strand").map(({ id }) => id));
  const units = useUnits();
  const isNarrow = size.width < NARROW;
  const host = hostOf(
    piece,
    piece.mounts.find(({ id }) => id === mount)!,
  );
  const tops = piece.mounts.map(
    ({ id, on = id }) => (hoop?.seats[on]?.level ?? 0) + settings[id]!.section.plate.rises + settings[id]!.section.top,
  );
  const reach = Math.max(hoop?.outside ?? 0, ...tops);
  const wide =
    2 *
    Math.max(
      reach * (piece.mounts.length > 1 ? 1 : 0),
      hoop?.outside ?? 0,
      ...piece.mounts.map(({ id }) => settings[id]!.section.plate.half),
    );
  const room = { width: (isNarrow ? size.width : size.width * SHARE) - 40, height: size.height - (isNarrow ? 250 : 96) };
  const frame = useWhileHeld({ scale: scaleFor(wide, reach + (hoop?.outside ?? 0) + 1.5, room.width, room.height), reach });
  if (!hoop) return null;
  const { scale } = frame;
  const k = scale.perMm;
  const x = isNarrow ? size.width / 2 : (size.width * SHARE) / 2;
  const y = 44 + (frame.reach + 1.5) * k + Math.max(0, (room.height - (frame.reach + hoop.outside + 1.5) * k) / 2);
  return (
    <Sheet width={size.width} height={size.height} label={hoopDrawingText.theHoop(units.length)}>
      {piece.mounts.map(({ id, stone }) => (
        <StoneFill key={id} id={`stone-${id}`} material={stone.material?.name ?? stone.name ?? ""} />
      ))}
      <Word x={14} y={24}>
        {hoopDrawingText.lookingAlongTheFinger(scaleText(scale))}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        <Ring hoop={hoop} />
        {piece.mounts.map(({ id }) => {
          const { section, host } = settings[id]!;
          const { level, angle } = hoop.seats[host]!;
          return (
            <g
              key={id}
              transform={`rotate(${(-angle * 180) / Math.PI}) translate(${besideSeat(settings[id]!, settings)} ${level + section.plate.rises})`}
              opacity={id === mount ? 1 : 0.72}
            >
              <SettingSection section={section} scale={scale} fill={`url(#stone-${id})`} isOnAnother={host !== id} />
            </g>
          );
        })}
        <AppliedOnHoop applied={plan.drawing.applied.filter(({ on }) => carrying.has(on))} outside={hoop.outside} />
        <line x1={-hoop.inside} x2={hoop.inside} y1={0} y2={0} stroke="var(--color-metal-mid)" vectorEffect="non-scaling-stroke" />
        {hoop.seams.map((angle) => (
          <SeamMark key={angle} hoop={hoop} angle={angle} />
        ))}
        {piece.mounts.map(({ id, on, place }, i) =>
          on === undefined ? <PlaceHandle key={id} mount={id} along={place?.along ?? 0} hoop={hoop} out={tops[i]! + 1} /> : null,
        )}
      </Millimetres>
      <Word x={x} y={y + 5} textAnchor="middle" fontSize={15} fontWeight={640} fill="var(--color-ink)" strokeWidth={14} lights="size">
        {view.insideFigure}
      </Word>
      <Word x={x} y={y + hoop.inside * k - 20} textAnchor="middle" fill="var(--color-accent)" lights="fibre">
        {view.counted}
      </Word>
      {hoop.seams.includes(Math.PI) && (
        <Word x={x + 8} y={y + hoop.outside * k + 18} fontWeight={600} fill="var(--color-ink)">
          {hoopDrawingText.seam}
        </Word>
      )}
      <SeatWords at={isNarrow ? [14, size.height - 190] : [14, size.height - 34]} view={view} />
      {!isNarrow && (
        <FromAbove
          mount={host}
          mounts={hosts(piece)}
          hoop={hoop}
          box={{ x: size.width * SHARE + 10, y: 10, width: size.width * (1 - SHARE) - 24, height: size.height * 0.62 }}
        />
      )}
      {isNarrow && (
        <FromAbove
          mount={host}
          mounts={hosts(piece)}
          hoop={hoop}
          box={{ x: 10, y: size.height - 165, width: size.width * 0.6, height: 155 }}
        />
      )}
      <WireSection
        x={isNarrow ? size.width - 84 : size.width * (SHARE + (1 - SHARE) / 2)}
        y={size.height - (isNarrow ? 30 : 44)}
        wire={hoop.wire}
        view={view}
        room={isNarrow ? 80 : 130}
      />
    </Sheet>
  );
}

/** What is metal of it, what is round it, and the line its length is counted along. */
function Ring({ hoop }: { readonly hoop: Drawn }) {
  const { body, arch, opening, metal, outside, inlay } = hoop;
  const closed = body.map((points) => `M${points.map(([px, py]) => `${px.toFixed(3)} ${py.toFixed(3)}`).join("L")}Z`).join("");
  const open = opening ? opening.half : 0;
  const middle = opening?.at === "back" ? Math.PI : 0;
  const fibre = Array.from({ length: 97 }, (_, i): Point => {
    const angle = middle + open + (2 * (Math.PI - open) * i) / 96;
    return [hoop.fibre * Math.sin(angle), hoop.fibre * Math.cos(angle)];
  });
  return (
    <>
      {outside > metal && (
        <path
          d={`${circle(outside)}${circle(metal)}`}
          fill="var(--color-wood-pale)"
          fillRule="evenodd"
          stroke="var(--color-wood-dark)"
          vectorEffect="non-scaling-stroke"
        />
      )}
      {inlay > 0 && (
        <path d={`${circle(outside)}${circle(outside - inlay)}`} fillRule="evenodd" vectorEffect="non-scaling-stroke" {...METAL} />
      )}
      <path d={closed} fillRule="evenodd" vectorEffect="non-scaling-stroke" {...METAL} />
      <Shape points={fibre} open fill="none" stroke="var(--color-accent)" strokeWidth={1.4} strokeDasharray="5 4" />
      {arch && [-1, 1].map((side) => <Shape key={side} points={armOf(arch, side)} lights="arch" {...METAL} />)}
    </>
  );
}

function circle(r: number): string {
  return `M${r} 0A${r} ${r} 0 1 0 ${-r} 0A${r} ${r} 0 1 0 ${r} 0Z`;
}

/** One arm of an arch, from its foot to the opening. */
function armOf({ radius, centre, half, cut, thickness }: NonNullable<Drawn["arch"]>, side: number): Point[] {
  const steps = 24;
  const from = Math.min(cut, half);
  const along = (r: number) =>
    Array.from({ length: steps + 1 }, (_, i): Point => {
      const angle = from + ((half - from) * i) / steps;
      return [side * r * Math.sin(angle), centre + r * Math.cos(angle)];
    });
  return [...along(radius), ...along(radius + thickness).reverse()];
}

function SeamMark({ hoop, angle }: { readonly hoop: Drawn; readonly angle: number }) {
  const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
  const [from, to] = [hoop.inside - 0.3, hoop.metal + 0.3];
  return (
    <line
      x1={from * sin}
      x2={to * sin}
      y1={from * cos}
      y2={to * cos}
      stroke="var(--color-ink)"
      strokeWidth={2}
      vectorEffect="non-scaling-stroke"
    />
  );
}

/** mm that an arrow key moves a setting round the hoop. */
const STEP = 0.1;

interface PlaceProps {
  readonly mount: string;
  readonly along: number;
  readonly hoop: Drawn;
  /** How far from the middle its handle lies. */
  readonly out: number;
}

/** A setting is moved round the hoop by the handle over it. */
function PlaceHandle({ mount, along, hoop, out }: PlaceProps) {
  const session = useSession();
  const plan = usePlan();
  const angle = hoop.seats[mount]!.angle;
  const put = (mm: number) => session.change((piece) => putPlace(piece, mount, "along", Math.round(mm * 10) / 10), `${mount}.place.along`);
  return (
    <DragHandle
      label={hoopDrawingText.placeOfRoundTheHoop(namesIn(plan).setting(mount))}
      now={along}
      most={Math.PI * hoop.outside}
      lights="seat"
      onDrag={([px, py]) => put(Math.atan2(px, py) * hoop.outside)}
      onStep={(by) => put(along - by * STEP)}
    >
      {(isHighlighted) => <Knob at={[out * Math.sin(angle), out * Math.cos(angle)]} isHighlighted={isHighlighted} />}
    </DragHandle>
  );
}

/** What is filed so that it sits, and how much of the finger it covers. */
function SeatWords({ at: [x, y], view }: { readonly at: Point; readonly view: Props["view"] }) {
  const [first, second] = view.seat.words;
  return (
    <>
      <Word x={x} y={y} fontSize={13} fontWeight={640} fill="var(--color-ink)" lights="seat">
        {first}
      </Word>
      <Word x={x} y={y + 17} fontSize={12}>
        {second}; {view.covers}
      </Word>
    </>
  );
}
