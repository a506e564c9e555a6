"use client";

import { memo } from "react";
import { MM_PER_INCH } from "@/core/measure/reading";
import { type BenchEntry, SHIPPED } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { shapeFaults } from "@/core/stone/shapes/shapes";
import { outlineOf } from "@/core/stone/stone";
import { type PieceRecord } from "@/store/repository";
import { Millimetres, Shape } from "@/ui/Drawing";
import { usePlans } from "@/ui/planner";
import { StoneFill } from "@/ui/StoneFill";
import { useUnits } from "@/ui/tray";
import { useSize } from "@/ui/useSize";
import { type Attempt } from "@/formats/attempt";
import { type TrayStone, trayStone } from "./rows";
import { trayDrawingText } from "@/words/screens/tray";

interface Props {
  readonly records: readonly PieceRecord[];
  readonly bench: BenchEntry;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
  readonly onOpen: (id: string) => void;
  /** How far the making of a piece is; null where none is under way. */
  readonly shares: (record: PieceRecord) => number | null;
}

/** Of the tray; of a stone's middle, its name, and the bar under it (pixels). */
const HEIGHT = 152;
const MIDDLE = 74;
const NAME_AT = 132;
const BAR_AT = 140;
/** About how wide a letter of a name is (pixels). */
const NAME_LETTER = 8;
const SQUARE_MM = 5;
const MOST_STONES = 24;
const MARGIN = 16;
const LARGEST_SCALE = 5;
const LEAST_SCALE = 2.5;

/** The stones themselves, all to one scale, as they lie on the bench. */
export function TrayDrawing({ records, bench, chosen, onChoose, onOpen, shares }: Props) {
  const plans = usePlans();
  const [ref, { width }] = useSize(1280, HEIGHT);
  const lying = records
    .slice(0, MOST_STONES)
    .map((record) => ({ record, drawn: lyingOn(plans.soon(record.piece, bench), record.piece.mounts[0]!.id) }));
  const sizes = lying.map(({ record, drawn }) => sizeOf(record.piece, drawn));
  const all = sizes.reduce((sum, { width }) => sum + width, 0);
  const tallest = Math.max(1, ...sizes.map(({ height }) => height));
  const fits = Math.min((width - MARGIN * (lying.length + 1)) / all, 88 / tallest, LARGEST_SCALE);
  const perMm = Math.max(LEAST_SCALE, fits);
  const slots = sizes.map((size, i) => Math.max(size.width * perMm, shortName(lying[i]!.record.piece.name).length * NAME_LETTER));
  const spare = Math.max(MARGIN, (width - slots.reduce((a, b) => a + b, 0)) / (lying.length + 1));
  const inInches = useUnits().length === "inch";
  const square = (inInches ? MM_PER_INCH / 4 : SQUARE_MM) * perMm;
  const wholeWidth = Math.max(width, slots.reduce((a, b) => a + b, 0) + spare * (lying.length + 1));
  const middles = slots.map((slot, i) => slots.slice(0, i).reduce((a, b) => a + b, 0) + spare * (i + 1) + slot / 2);
  return (
    <section
      ref={ref}
      aria-label={trayDrawingText.tray}
      tabIndex={wholeWidth > width ? 0 : undefined}
      className="overflow-x-auto overflow-y-hidden border-b border-line bg-sheet"
      style={{ height: HEIGHT }}
    >
      <svg width={wholeWidth} height={HEIGHT} role="group" aria-label={trayDrawingText.theStonesOnTheTray} className="block">
        <defs>
          <pattern id="tray-squares" width={square * 2} height={square * 2} patternUnits="userSpaceOnUse">
            <path d={`M${square} 0V${square * 2}M0 ${square}H${square * 2}`} stroke="var(--color-paper)" fill="none" />
            <path d={`M${square * 2} 0H0V${square * 2}`} stroke="var(--color-hair)" fill="none" />
          </pattern>
        </defs>
        <rect width={wholeWidth} height={HEIGHT} fill="url(#tray-squares)" />
        <text x={16} y={18} fontSize={12} fill="var(--color-soft)">
          {trayDrawingText.onTheTrayAllTo(inInches ? trayDrawingText.quarterInch : trayDrawingText.fiveMillimetres)}
        </text>
        {lying.map(({ record, drawn }, i) => {
          const { piece } = record;
          const tint = piece.mounts[0]!.stone.material?.name ?? piece.mounts[0]!.stone.name ?? piece.name;
          const isChosen = record.id === chosen;
          return (
            <g
              key={record.id}
              role="button"
              tabIndex={-1}
              aria-label={piece.name}
              aria-pressed={isChosen}
              className="cursor-pointer"
              onClick={() => onChoose(record.id)}
              onDoubleClick={() => onOpen(record.id)}
            >
              <rect x={middles[i]! - slots[i]! / 2} y={24} width={slots[i]} height={HEIGHT - 24} fill="transparent" />
              <StoneFill id={`tint-${record.id}`} material={tint} />
              {drawn?.isPlanned ? (
                <Lies stone={drawn.stone} x={middles[i]!} perMm={perMm} tint={`url(#tint-${record.id})`} />
              ) : (
                <EmptyPlace x={middles[i]!} isWaiting={drawn === null} />
              )}
              <text x={middles[i]} y={NAME_AT} textAnchor="middle" fontSize={15} fontWeight={640} fill="var(--color-ink)">
                {shortName(piece.name)}
              </text>
              <Progress x={middles[i]!} share={shares(record)} />
              {isChosen && <rect x={middles[i]! - 36} y={HEIGHT - 5} width={72} height={4} rx={2} fill="var(--color-accent)" />}
            </g>
          );
        })}
      </svg>
    </section>
  );
}

/** How far a piece is made, under its name. */
function Progress({ x, share }: { readonly x: number; readonly share: number | null }) {
  if (share === null) return null;
  return (
    <>
      <rect x={x - 23} y={BAR_AT} width={46} height={5} rx={2} fill="var(--color-line)" />
      <rect x={x - 23} y={BAR_AT} width={46 * share} height={5} rx={2} fill="var(--color-accent)" />
    </>
  );
}

interface LiesProps {
  readonly stone: TrayStone;
  readonly x: number;
  readonly perMm: number;
  readonly tint: string;
}

/** A stone in its wall; drawn again only when it changes or moves. */
const Lies = memo(function Lies({ stone, x, perMm, tint }: LiesProps) {
  const [left, up] = stone.middle;
  return (
    <Millimetres x={x - left * perMm} y={MIDDLE + up * perMm} scale={{ perMm, times: 1 }}>
      <Shape curve={stone.wall} fill="var(--color-metal-lit)" stroke="var(--color-metal-mid)" />
      <Shape curve={stone.stone} fill={tint} stroke="var(--color-shade)" />
    </Millimetres>
  );
});

type Lying = { readonly isPlanned: true; readonly stone: TrayStone } | { readonly isPlanned: false };

/** A piece that cannot be planned lies as an empty place; null while it is worked out. */
function lyingOn(attempt: Attempt | null, mount: string): Lying | null {
  if (attempt === null) return null;
  return attempt.ok ? { isPlanned: true, stone: trayStone(attempt.plan, mount) } : { isPlanned: false };
}

const NARROWEST_MM = 12;
/** Outlines of more points than this are not measured before they are planned. */
const MANY_POINTS = 200;

/** What a stone takes of the tray, in mm: before it is planned, as much as it will. */
function sizeOf({ mounts }: Piece, lying: Lying | null): { readonly width: number; readonly height: number } {
  const { stone, wall } = mounts[0]!;
  const { outline: shape } = stone;
  const isLight = shape.shape !== "free" || shape.points.length <= MANY_POINTS;
  if (lying?.isPlanned) return { width: Math.max(lying.stone.width, NARROWEST_MM), height: lying.stone.height };
  if (lying !== null || !isLight || shapeFaults(shape).length > 0) return { width: NARROWEST_MM, height: 0 };
  const { outline } = outlineOf(stone);
  const round = 2 * (wall.thickness + (wall.fit ?? SHIPPED.seatOf.fit));
  return { width: Math.max(outline.extent(0) + round, NARROWEST_MM), height: outline.extent(Math.PI / 2) + round };
}

function EmptyPlace({ x, isWaiting }: { readonly x: number; readonly isWaiting: boolean }) {
  if (isWaiting)
    return (
      <ellipse cx={x} cy={MIDDLE} rx={30} ry={22} fill="none" stroke="var(--color-metal-mid)" strokeDasharray="5 4" strokeWidth={1.5} />
    );
  return (
    <>
      <ellipse cx={x} cy={MIDDLE} rx={30} ry={22} fill="none" stroke="var(--color-bad)" strokeDasharray="5 4" strokeWidth={1.5} />
      <text x={x} y={MIDDLE + 4} textAnchor="middle" fontSize={12} fill="var(--color-bad)">
        {trayDrawingText.noPlan}
      </text>
    </>
  );
}

const LONGEST_NAME = 18;
/** In capitals, which are wider, a name takes fewer letters. */
const LONGEST_IN_CAPITALS = 10;

/** "Tern ring" is "Tern": what it is stands under it. */
function shortName(name: string): string {
  const short = name.replace(/ (ring|pendant|earrings)$/i, "") || name;
  const longest = short === short.toUpperCase() ? LONGEST_IN_CAPITALS : LONGEST_NAME;
  return short.length > longest ? `${short.slice(0, longest - 1)}…` : short;
}
