import { doubtAmong, type Doubt, type DoubtOf } from "@/core/piece/doubt";
import { type Plan, bailIn, hoopIn, sharersOf } from "@/core/piece/plan";
import { MetalFill, Millimetres, Shape, scaleText } from "@/ui/Drawing";
import { StoneFill } from "@/ui/StoneFill";
import { pictureOf } from "@/ui/pictures/PiecePicture";
import { plateShape } from "@/ui/plate-shape";
import { around } from "@/ui/setting-layout";
import { DOUBTS } from "@/words/doubt";
import { capital, namesIn } from "@/words/names";
import { cardDrawingText } from "@/words/screens/card";

const CARD_TIMES = [3, 2.5, 2, 1.5] as const;
/** Of the only setting, and of one of several, two side by side. */
const ROOM_MM = { only: { width: 45, height: 66 }, several: { width: 36, height: 36 } } as const;
/** The drawing's own frame is in millimetres; its size on paper gives the scale. */
const CARD_SCALE = { times: 1, perMm: 1 } as const;
const GAP_MM = 4;

interface DrawingProps {
  readonly plan: Plan;
  readonly mount: string;
  readonly isOnly: boolean;
  readonly doubt: Doubt | null;
}

/** A setting's plan and section, at the largest plain scale that fits the card. */
export function CardDrawing({ plan, mount, isOnly, doubt }: DrawingProps) {
  const { settings } = plan.drawing;
  const { plan: top, section } = settings[mount]!;
  const room = ROOM_MM[isOnly ? "only" : "several"];
  const what = top.seam ? cardDrawingText.planWithTheSeamAnd : cardDrawingText.planAndSection;
  const name = isOnly ? what : namesIn(plan).setting(mount);
  const box = around(top.plateEdge, top.layers);
  const [wide, tall] = [box.right - box.left, box.high - box.low];
  const sectionTall = section.top + section.plate.rises;
  const [width, height] = [Math.max(wide, 2 * section.plate.half) + 4, tall + sectionTall + GAP_MM + 4];
  const times = CARD_TIMES.find((each) => width * each <= room.width && height * each <= room.height) ?? 1;
  const fit = Math.min(times, room.width / width, room.height / height);
  return (
    <figure className="text-center" style={{ width: `${room.width}mm` }}>
      <svg
        width={`${width * fit}mm`}
        height={`${height * fit}mm`}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={isOnly ? cardDrawingText.planAndSectionHeading : cardDrawingText.planAndSectionOf(name)}
        className="mx-auto"
      >
        <StoneFill material="agate" id="card-stone" />
        <Millimetres x={2 - box.left + (width - 4 - wide) / 2} y={box.high + 2} scale={CARD_SCALE}>
          <Shape curve={top.plateEdge} fill="var(--color-white)" stroke="var(--color-print-ink)" strokeWidth={0.8} />
          {top.layers.flatMap(({ id, middles, balls, width }) =>
            balls.length > 0
              ? balls.map(({ at, radius }, i) => (
                  <circle
                    key={`${id}${i}`}
                    cx={at[0]}
                    cy={at[1]}
                    r={radius}
                    fill="var(--color-print-wash)"
                    stroke="var(--color-print-ink)"
                    strokeWidth={0.08}
                  />
                ))
              : middles.map((points, i) => (
                  <g key={`${id}${i}`}>
                    <Shape points={points} open fill="none" stroke="var(--color-print-ink)" strokeWidth={width} vectorEffect="none" />
                    <Shape
                      points={points}
                      open
                      fill="none"
                      stroke="var(--color-print-wash)"
                      strokeWidth={width * 0.8}
                      vectorEffect="none"
                    />
                  </g>
                )),
          )}
          {[top, ...sharersOf(settings, mount).map(([, { plan: other }]) => other)].map(({ wallOutside, stone }, i) => (
            <g key={i}>
              <Shape curve={wallOutside} fill="var(--color-print-hair)" stroke="var(--color-print-ink)" strokeWidth={0.8} />
              <Shape curve={stone} fill="url(#card-stone)" stroke="var(--color-print-ink)" strokeWidth={0.8} />
            </g>
          ))}
          {top.seam && (
            <line
              x1={top.seam.x}
              y1={top.seam.y}
              x2={top.seam.x + top.seam.nx * 1.2}
              y2={top.seam.y + top.seam.ny * 1.2}
              stroke="var(--color-black)"
              strokeWidth={1.6}
              vectorEffect="non-scaling-stroke"
            />
          )}
        </Millimetres>
        <Millimetres x={width / 2} y={height - 2 - section.plate.rises} scale={CARD_SCALE}>
          <Shape points={plateShape(section.plate)} fill="var(--color-print-hair)" stroke="var(--color-print-ink)" strokeWidth={0.8} />
          <Shape
            points={[...section.stone, ...section.stone.map(([x, y]) => [-x, y] as const).reverse()]}
            fill="url(#card-stone)"
            stroke="var(--color-print-ink)"
            strokeWidth={0.8}
          />
          {([1, -1] as const).map((side) => (
            <Shape
              key={side}
              points={section.folded.map(([x, y]) => [side * x, y] as const)}
              open
              fill="none"
              stroke="var(--color-print-ink)"
              strokeWidth={1.6}
            />
          ))}
        </Millimetres>
      </svg>
      <Caption name={name} fit={fit} times={times} doubt={doubt} />
    </figure>
  );
}

interface CarrierProps {
  readonly plan: Plan;
  readonly doubtOf: DoubtOf;
}

/** Beside the only setting, and of the same room as one of several. */
const WORN_MM = { only: { width: 28, height: 50 }, several: ROOM_MM.several } as const;
const MARGIN_MM = 1;

/** A piece as it is worn: a ring along the finger, what hangs as it hangs. */
export function WornDrawing({ plan, doubtOf }: CarrierProps) {
  const isHoop = hoopIn(plan) !== null;
  if (!isHoop && !bailIn(plan)) return null;
  const { box, shapes } = pictureOf(plan, "card-stone");
  const [wide, tall] = [box.right - box.left + 2 * MARGIN_MM, box.high - box.low + 2 * MARGIN_MM];
  const room = WORN_MM[Object.keys(plan.drawing.settings).length === 1 ? "only" : "several"];
  const largest = Math.min(room.width / wide, room.height / tall);
  const times = CARD_TIMES.find((each) => each <= largest) ?? 1;
  const fit = Math.min(times, largest);
  const doubt = doubtAmong(isHoop ? ["hoop.insideDiameter"] : Object.keys(plan.drawing.settings).map((id) => `${id}.hang.tilt`), doubtOf);
  const name = isHoop ? cardDrawingText.alongTheFinger : cardDrawingText.asItHangs;
  return (
    <figure className="text-center" style={{ width: `${room.width}mm` }}>
      <svg
        width={`${wide * fit}mm`}
        height={`${tall * fit}mm`}
        viewBox={`0 0 ${wide} ${tall}`}
        role="img"
        aria-label={name}
        className="mx-auto"
      >
        <defs>
          <MetalFill />
        </defs>
        <StoneFill material="agate" id="card-stone" />
        <Millimetres x={MARGIN_MM - box.left} y={box.high + MARGIN_MM} scale={CARD_SCALE}>
          {shapes(1)}
        </Millimetres>
      </svg>
      <Caption name={name} fit={fit} times={times} doubt={doubt} />
    </figure>
  );
}

interface CaptionProps {
  readonly name: string;
  /** How many times life size it is, and the round number that was wanted. */
  readonly fit: number;
  readonly times: number;
  readonly doubt: Doubt | null;
}

function Caption({ name, fit, times, doubt }: CaptionProps) {
  return (
    <figcaption className="card-fine text-print-ink">
      {capital(name)}, {fit === times ? scaleText({ times, perMm: times }) : cardDrawingText.timesLifeSize(fit.toFixed(2))}
      {doubt && <b className="block">{cardDrawingText.theDrawingIsAGuess(DOUBTS[doubt])}</b>}
    </figcaption>
  );
}
