"use client";

import { type Point } from "@/core/geometry/outline";
import { type CutPlate, type SettingDrawing } from "@/core/mount/drawing";
import { type Mount } from "@/core/piece/piece";
import { exponentThrough } from "@/core/stone/dome";
import { ELLIPTIC, greatestTurnIn, raisedTo } from "@/core/stone/stone";
import { DragHandle } from "./DragHandle";
import { Knob, Millimetres, type Scale, Shape, Word } from "./Drawing";
import { plateShape, topAt } from "./plate-shape";
import { usePlan } from "./plan";
import { SECTION_MARGIN_MM } from "./setting-layout";
import { useSession } from "./session";
import { sectionViewText } from "@/words/ui";

interface Props {
  readonly mount: Mount;
  readonly x: number;
  readonly y: number;
  readonly scale: Scale;
  readonly view: { readonly leansIn: string; readonly stands: string; readonly third: string; readonly top: string };
}

function mirrored(points: readonly Point[]): Point[] {
  return points.map(([x, y]): Point => [-x, y]);
}

/** An upright of metal between two distances from the axis, its foot where the plate's top lies. */
function standing(side: 1 | -1, inside: number, outside: number, height: number, plate?: CutPlate): Point[] {
  const foot = (x: number) => (plate ? topAt(plate, x) : 0);
  return [
    [side * inside, foot(inside)],
    [side * outside, foot(outside)],
    [side * outside, height],
    [side * inside, height],
  ];
}

interface CutProps {
  readonly part: string;
  readonly from: number;
  readonly to: number;
  readonly height: number;
  readonly shape: SettingDrawing["section"]["layers"][number]["shape"];
}

/** A wire where it is cut through, standing on the plate. */
function CutWire({ part, from, to, height, shape }: CutProps) {
  const [middle, half] = [(from + to) / 2, Math.abs(to - from) / 2];
  const rise = (angle: number): Point =>
    shape === "round"
      ? [middle + half * Math.cos(angle), (height / 2) * (1 + Math.sin(angle))]
      : [middle + half * Math.cos(angle / 2), height * Math.sin(angle / 2)];
  const points =
    shape === "square"
      ? standing(1, from, to, height)
      : Array.from({ length: CUT_STEPS + 1 }, (_, i) => rise((2 * Math.PI * i) / CUT_STEPS));
  return <Shape points={points} fill="var(--color-metal-pale)" stroke="var(--color-soft)" lights={part} />;
}

const CUT_STEPS = 28;

/** The setting cut through, in millimetres, its origin in the middle of the plate's top. */
export function SettingSection({
  section,
  scale,
  fill = "url(#stone)",
  isOnAnother = false,
}: {
  readonly section: SettingDrawing["section"];
  readonly scale: Scale;
  readonly fill?: string;
  /** Whether its plate is drawn with another setting. */
  readonly isOnAnother?: boolean;
}) {
  const { plate, wall } = section;
  return (
    <>
      {plate.thickness > 0 && !isOnAnother && (
        <Shape points={plateShape(plate)} fill="url(#metal)" stroke="var(--color-metal-edge)" lights="plate" />
      )}
      <Shape points={[...section.stone, ...mirrored(section.stone).reverse()]} fill={fill} stroke="var(--color-shade)" lights="stone" />
      {([1, -1] as const).map((side) => (
        <g key={side}>
          {section.shelf !== null && (
            <Shape
              points={standing(side, section.shelf.inside, wall.inside, section.shelf.height)}
              fill="url(#metal)"
              stroke="var(--color-metal-edge)"
            />
          )}
          {section.layers.map(({ part, inside, width, height, shape }) => (
            <CutWire key={part} part={part} from={side * inside} to={side * (inside + width)} height={height} shape={shape} />
          ))}
          {section.rim !== null && (
            <Shape
              points={standing(side, wall.outside, section.rim, wall.height)}
              fill="none"
              stroke="var(--color-warn)"
              strokeDasharray="3 3"
              lights="rim"
            />
          )}
          <Shape
            points={standing(side, wall.inside, wall.outside, wall.height, plate)}
            fill="var(--color-metal-mid)"
            fillOpacity={0.35}
            stroke="var(--color-metal-edge)"
            strokeWidth={0.6}
            lights="height"
          />
          <Shape
            points={side === 1 ? section.folded : mirrored(section.folded)}
            open
            fill="none"
            stroke="var(--color-soft)"
            strokeWidth={Math.max(2, section.thickness * scale.perMm)}
            lights="wall"
          />
        </g>
      ))}
    </>
  );
}

/** Narrower than this the two words over the section stand one above the other, in pixels. */
const ROOM_FOR_BOTH = 225;

/** The same with its words, and the line at which the side leans in to be dragged. */
export function SectionView({ mount, x, y, scale, view }: Props) {
  const { section } = usePlan().drawing.settings[mount.id]!;
  const { plate, wall } = section;
  const k = scale.perMm;
  const reach = plate.half + SECTION_MARGIN_MM;
  const leansInAt = y - section.top * k - (2 * reach * k < ROOM_FOR_BOTH ? 54 : 34);
  return (
    <>
      <Millimetres x={x} y={y} scale={scale}>
        <SettingSection section={section} scale={scale} />
        <Shape
          points={[
            [-reach, section.third],
            [reach, section.third],
          ]}
          open
          fill="none"
          stroke="var(--color-warn)"
          strokeDasharray="1 3"
        />
        <TurnInHandle mount={mount} half={reach} />
        {section.shoulder && <DomeHandle mount={mount} section={section} at={section.shoulder} />}
      </Millimetres>
      <Word x={x - reach * k} y={leansInAt} fill="var(--color-accent)" lights="turnIn">
        {view.leansIn}
      </Word>
      <path
        d={`M${x - reach * k} ${y - section.turnIn * k} V${leansInAt + 4}`}
        stroke="var(--color-accent)"
        strokeWidth={0.8}
        fill="none"
      />
      <Word x={x} y={y - section.top * k - 9} textAnchor="middle" fontSize={13} fontWeight={620} fill="var(--color-ink)">
        {view.top}
      </Word>
      <path
        d={`M${x + wall.outside * k} ${y - wall.height * k} L${x + (reach - 0.4) * k} ${y - section.top * k - 22}`}
        stroke="var(--color-ink)"
        strokeWidth={0.8}
        fill="none"
      />
      <Word
        x={x + reach * k}
        y={y - section.top * k - 28}
        textAnchor="end"
        fontSize={13}
        fontWeight={640}
        fill="var(--color-ink)"
        lights="height"
      >
        {view.stands}
      </Word>
      <path
        d={`M${x + reach * k} ${y - section.third * k} V${y + plate.thickness * k + 18}`}
        stroke="var(--color-warn)"
        strokeWidth={0.8}
        fill="none"
      />
      <Word x={x + reach * k} y={y + plate.thickness * k + 32} textAnchor="end" fill="var(--color-warn)">
        {view.third}
      </Word>
    </>
  );
}

const DOME_STEP = 0.1;

/** The dome's shoulder, dragged out to make it full or in to make it pointed; the arrow keys step its exponent. */
function DomeHandle({ mount, section, at }: { readonly mount: Mount; readonly section: SettingDrawing["section"]; readonly at: Point }) {
  const session = useSession();
  const { radius, lift } = section;
  const { height, dome = ELLIPTIC } = mount.stone;
  if (dome === "flat") return null;
  const put = (exponent: number) =>
    session.change((piece) => {
      piece.mounts.find(({ id }) => id === mount.id)!.stone.dome = Math.max(1, Math.round(exponent * 10) / 10);
    }, `${mount.id}.stone.dome`);
  const turnIn = greatestTurnIn(mount.stone);
  return (
    <DragHandle
      label={sectionViewText.dome}
      now={dome}
      most={6}
      isUpright
      lights="dome"
      onDrag={([px, py]) => put(exponentThrough({ radius, turnIn, height }, Math.abs(px), py - lift))}
      onStep={(by) => put(dome + by * DOME_STEP)}
    >
      {(isHighlighted) => <Knob at={at} isHighlighted={isHighlighted} />}
    </DragHandle>
  );
}

const KEY_STEP = 0.05;

/** The line at which the side leans in, dragged up and down or moved with the arrow keys. */
function TurnInHandle({ mount, half }: { readonly mount: Mount; readonly half: number }) {
  const session = useSession();
  const { section } = usePlan().drawing.settings[mount.id]!;
  const turnIn = greatestTurnIn(mount.stone);
  const put = (height: number) =>
    session.change((piece) => {
      const { stone } = piece.mounts.find(({ id }) => id === mount.id)!;
      stone.turnIn = raisedTo(stone, Math.round(height * 100) / 100, KEY_STEP) as typeof stone.turnIn;
    }, `${mount.id}.stone.turnIn`);
  const line = { x1: -half, x2: half, y1: section.turnIn, y2: section.turnIn, vectorEffect: "non-scaling-stroke" } as const;
  return (
    <DragHandle
      label={sectionViewText.heightAtWhichTheSide}
      now={turnIn}
      most={mount.stone.height}
      isUpright
      lights="turnIn"
      onDrag={([, y]) => put(y - section.lift)}
      onStep={(by) => put(turnIn + by * KEY_STEP)}
    >
      {(isHighlighted) => (
        <>
          <line {...line} stroke="transparent" className="stroke-[16px] pointer-coarse:stroke-[44px]" />
          <line {...line} stroke="var(--color-accent)" strokeWidth={isHighlighted ? 2.6 : 1} strokeDasharray="4 3" />
        </>
      )}
    </DragHandle>
  );
}
