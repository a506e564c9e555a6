"use client";

import { type Point } from "@/core/geometry/outline";
import { type Piece } from "@/core/piece/piece";
import { NARROW, Millimetres, type Scale, Shape, Sheet, Word, scaleFor, scaleText } from "@/ui/Drawing";
import { SettingSection } from "@/ui/SectionView";
import { StoneFill } from "@/ui/StoneFill";
import { hoopIn } from "@/core/piece/plan";
import { usePlan } from "@/ui/plan";
import { useUnits } from "@/ui/tray";
import { type Size } from "@/ui/useSize";
import { AppliedOnHoop } from "../applied/AppliedShapes";
import { type hoopView } from "./view";

interface Props {
  readonly size: Size;
  readonly piece: Piece;
  readonly mount: string;
  readonly view: ReturnType<typeof hoopView>;
}

/** The hoop seen along the finger with its setting on top, and its wire cut across. */
export function HoopDrawing({ size, piece, mount, view }: Props) {
  const plan = usePlan();
  const { settings } = plan.drawing;
  const hoop = hoopIn(plan)?.drawn;
  const units = useUnits();
  const { section } = settings[mount]!;
  const stone = piece.mounts.find(({ id }) => id === mount)!.stone;
  if (!hoop) return null;
  const seat = hoop.seats[mount];
  const rest = seat?.level ?? hoop.outside;
  const above = rest + section.plate.thickness + section.top;
  const wide = 2 * Math.max(hoop.outside, section.plate.half);
  const isNarrow = size.width < NARROW;
  const scale = scaleFor(wide, above + hoop.outside, size.width - (isNarrow ? 60 : 300), size.height - (isNarrow ? 210 : 90));
  const x = isNarrow ? size.width / 2 : (size.width - 130) / 2;
  const y = 48 + (size.height - (isNarrow ? 200 : 80) - (above + hoop.outside) * scale.perMm) / 2 + above * scale.perMm;
  const k = scale.perMm;
  return (
    <Sheet width={size.width} height={size.height} label={`The hoop, ${units.length}`}>
      <StoneFill material={stone.material?.name ?? stone.name ?? ""} />
      <Word x={14} y={24}>
        Looking along the finger, {scaleText(scale)}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        <path
          d={ringPath(hoop.inside, hoop.outside, seat && view.seat === "flat" ? seat : null)}
          fill="url(#metal)"
          fillRule="evenodd"
          stroke="#6f7a7e"
          vectorEffect="non-scaling-stroke"
        />
        <circle r={hoop.fibre} fill="none" stroke="#0b5d66" strokeWidth={1.4} strokeDasharray="5 4" vectorEffect="non-scaling-stroke" />
        <g transform={`translate(0 ${rest + section.plate.thickness})`}>
          <SettingSection section={section} scale={scale} />
        </g>
        <AppliedOnHoop applied={plan.drawing.applied.filter(({ on }) => on === "hoop")} outside={hoop.outside} />
        <line x1={-hoop.inside} x2={hoop.inside} y1={0} y2={0} stroke="#8a9596" vectorEffect="non-scaling-stroke" />
        <line
          x1={0}
          x2={0}
          y1={-hoop.outside - 0.3}
          y2={-hoop.inside + 0.3}
          stroke="#1b2225"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      </Millimetres>
      <Word x={x} y={y + 5} textAnchor="middle" fontSize={15} fontWeight={640} fill="#1b2225" strokeWidth={14} lights="size">
        {view.insideFigure}
      </Word>
      <Word x={x} y={y + hoop.inside * k - 20} textAnchor="middle" fill="#0b5d66" lights="fibre">
        {view.counted}
      </Word>
      <Word x={x + 8} y={y + hoop.outside * k + 18} fontWeight={600} fill="#1b2225">
        seam
      </Word>
      {seat && <SeatWords x={x} y={y} k={k} seat={seat} view={view} isBelow={isNarrow} sheet={size} />}
      <WireSection
        x={size.width - (isNarrow ? 84 : 112)}
        y={size.height - (isNarrow ? 30 : 58)}
        wire={hoop.wire}
        view={view}
        room={isNarrow ? 80 : 150}
      />
    </Sheet>
  );
}

/** A ring, with its top cut level where there is a flat. */
function ringPath(inside: number, outside: number, flat: { readonly half: number; readonly level: number } | null): string {
  const hole = `M${inside} 0A${inside} ${inside} 0 1 0 ${-inside} 0A${inside} ${inside} 0 1 0 ${inside} 0Z`;
  if (!flat) return `M${outside} 0A${outside} ${outside} 0 1 0 ${-outside} 0A${outside} ${outside} 0 1 0 ${outside} 0Z${hole}`;
  return `M${flat.half} ${flat.level}A${outside} ${outside} 0 1 0 ${-flat.half} ${flat.level}Z${hole}`;
}

interface SeatProps {
  readonly x: number;
  readonly y: number;
  readonly k: number;
  readonly seat: { readonly half: number; readonly level: number };
  readonly view: Props["view"];
  /** Whether there is no room beside the hoop: the words then stand at the sheet's foot. */
  readonly isBelow: boolean;
  readonly sheet: Size;
}

function SeatWords({ x, y, k, seat, view, isBelow, sheet }: SeatProps) {
  const [px, py] = [x + seat.half * k, y - seat.level * k];
  const [tx, ty] = isBelow ? [14, sheet.height - 52] : [px + 110, py + 34];
  return (
    <>
      {!isBelow && <path d={`M${px - 4} ${py + 3} L${tx - 6} ${ty - 4}`} stroke="#1b2225" strokeWidth={0.8} fill="none" />}
      <Word x={tx} y={ty} fontSize={13} fontWeight={640} fill="#1b2225" lights="seat">
        {view.seat === "flat"
          ? `flat ${view.seatWidth} wide, ${view.seatDepth} deep`
          : `saddle ${view.seatWidth} wide, ${view.seatDepth} deep`}
      </Word>
      <Word x={tx} y={ty + 17} fontSize={12}>
        {view.seat === "flat" ? `leaves ${view.seatLeft} of the wire` : `leaves ${view.seatLeft} of the plate`}
      </Word>
    </>
  );
}

interface WireProps {
  readonly x: number;
  readonly y: number;
  readonly wire: { readonly curve: readonly Point[]; readonly fibre: number; readonly width: number; readonly thickness: number };
  readonly view: Props["view"];
  /** Pixels there are for it. */
  readonly room: number;
}

/** The wire cut across, flat side to the finger; the middle of its foot at (x, y). */
function WireSection({ x, y, wire, view, room }: WireProps) {
  const scale: Scale = scaleFor(wire.width, wire.thickness, room, (room * 110) / 150);
  const k = scale.perMm;
  const half = (wire.width / 2) * k;
  return (
    <>
      <Word x={x} y={y - wire.thickness * k - 14} textAnchor="middle">
        Wire, {scaleText(scale)}
      </Word>
      <Millimetres x={x} y={y} scale={scale}>
        <Shape points={wire.curve} fill="url(#metal)" stroke="#6f7a7e" lights="stock" />
      </Millimetres>
      <line
        x1={x - half - 8}
        x2={x + half + 8}
        y1={y - wire.fibre * k}
        y2={y - wire.fibre * k}
        stroke="#0b5d66"
        strokeWidth={1.4}
        strokeDasharray="5 4"
      />
      <Word x={x + half + 10} y={y - wire.fibre * k + 4} fontSize={12} fill="#0b5d66" lights="fibre">
        {view.fibre}
      </Word>
      <Word x={x} y={y + 18} textAnchor="middle" fill="#1b2225">
        {view.width}
      </Word>
    </>
  );
}
