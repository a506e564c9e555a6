"use client";

import { scaleLinear } from "d3";
import { type DayTask } from "@/core/making/day";
import { later } from "@/words/dates";
import { useClock } from "./clock";
import { useHighlight } from "./highlight";
import { useSize } from "./useSize";
import { dayLanesText } from "@/words/ui";

/** A task as its lanes tell it. */
export interface LaneTask extends DayTask {
  /** What is done, in full. */
  readonly title: string;
  readonly isAtFire: boolean;
  /** Its piece's place among those of the day. */
  readonly number: number;
}

interface Props {
  readonly tasks: readonly LaneTask[];
  /** Minutes. */
  readonly finish: number;
  /** When it begins, in ms since 1970. */
  readonly begins: number;
  /** This moment, in minutes from then. */
  readonly now?: number;
  /** Whether each piece has a colour of its own. */
  readonly isOfSeveral: boolean;
}

const LANES = ["hands", "torch", "waiting"] as const;
const LANE = 26;
const GAP = 5;
const LEFT = 58;
const RIGHT = 14;
const AXIS = 22;
const HEIGHT = LANES.length * (LANE + GAP) + AXIS;
const STEPS = [15, 30, 60, 120, 240] as const;
const ROOM_FOR_A_TIME = 54;

const KINDS = { hands: "var(--color-metal-mid)", torch: "var(--color-ember)", waiting: "var(--color-metal-pale)" } as const;
/** Told apart by their lightness too, for those who see no colour. */
const PIECES = [
  "var(--color-accent)",
  "var(--color-ochre)",
  "var(--color-water)",
  "var(--color-mauve-deep)",
  "var(--color-sage)",
  "var(--color-ember)",
  "var(--color-metal-deep)",
  "var(--color-mauve)",
] as const;

export function pieceColour(number: number): string {
  return PIECES[number % PIECES.length]!;
}

/** The day on three lanes: hands, torch, and what waits in the pickle or under glue. */
export function DayLanes({ tasks, finish, begins, now, isOfSeveral }: Props) {
  const [ref, { width }] = useSize(1000, HEIGHT);
  const clockOf = useClock();
  const x = scaleLinear([0, Math.max(1, finish)], [LEFT, Math.max(LEFT + 1, width - RIGHT)]);
  const step = STEPS.find((each) => x(each) - x(0) >= ROOM_FOR_A_TIME) ?? STEPS.at(-1)!;
  const clock = (minutes: number) => clockOf(later(begins, minutes));
  const first = new Date(begins);
  const toRound = step - ((first.getHours() * 60 + first.getMinutes()) % step);
  const ticks = Array.from({ length: Math.max(0, Math.floor((finish - toRound) / step) + 1) }, (_, i) => toRound + i * step);
  const top = (lane: (typeof LANES)[number]) => LANES.indexOf(lane) * (LANE + GAP);
  return (
    <div ref={ref} className="w-full" style={{ height: HEIGHT }}>
      <svg width={width} height={HEIGHT} role="img" aria-label={described(tasks, clock)} className="block">
        {LANES.map((lane) => (
          <g key={lane}>
            <rect x={LEFT} y={top(lane)} width={Math.max(0, width - LEFT - RIGHT)} height={LANE} rx={3} fill="var(--color-paper)" />
            <text x={LEFT - 8} y={top(lane) + LANE / 2 + 4} textAnchor="end" fontSize={12} fill="var(--color-soft)">
              {lane}
            </text>
          </g>
        ))}
        {ticks.map((minutes) => (
          <g key={minutes}>
            <line x1={x(minutes)} x2={x(minutes)} y1={0} y2={HEIGHT - AXIS + 3} stroke="var(--color-hair)" />
            {x(minutes) + 20 < width && (
              <text x={x(minutes)} y={HEIGHT - 5} textAnchor="middle" fontSize={12} fill="var(--color-soft)">
                {clock(minutes)}
              </text>
            )}
          </g>
        ))}
        {tasks.map((task) => {
          const lane = task.isAtFire ? "torch" : "hands";
          const colour = (kind: keyof typeof KINDS) => (isOfSeveral ? pieceColour(task.number) : KINDS[kind]);
          const id = `${task.piece} ${task.step}`;
          return (
            <g key={id}>
              <Bar task={task} from={x(task.start)} to={x(task.start + task.hands)} y={top(lane)} fill={colour(lane)} />
              {task.wait > 0 && (
                <Bar
                  task={task}
                  from={x(task.start + task.hands)}
                  to={x(task.start + task.hands + task.wait)}
                  y={top("waiting")}
                  fill={colour("waiting")}
                  isFaint={isOfSeveral}
                />
              )}
            </g>
          );
        })}
        {now !== undefined && now > 0 && now < finish && (
          <g>
            <line x1={x(now)} x2={x(now)} y1={0} y2={HEIGHT - AXIS + 3} stroke="var(--color-bad)" strokeWidth={2} />
            <text x={x(now) + 5} y={11} fontSize={11.5} fontWeight={640} fill="var(--color-bad)">
              {dayLanesText.now}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}

interface BarProps {
  readonly task: LaneTask;
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly fill: string;
  readonly isFaint?: boolean;
}

function Bar({ task, from, to, y, fill, isFaint = false }: BarProps) {
  const { isHighlighted, handlers } = useHighlight(`${task.piece} ${task.step}`);
  return (
    <rect
      {...handlers}
      x={from + 0.5}
      y={y + 2}
      width={Math.max(1.5, to - from - 1)}
      height={LANE - 4}
      rx={2}
      fill={fill}
      opacity={isFaint ? 0.55 : 1}
      stroke={isHighlighted ? "var(--color-ink)" : "none"}
      strokeWidth={2}
    >
      <title>{task.title}</title>
    </rect>
  );
}

function described(tasks: readonly LaneTask[], clock: (minutes: number) => string): string {
  return dayLanesText.theDay(tasks.map(({ title, start }) => `${clock(start)} ${title}`).join("; "));
}
