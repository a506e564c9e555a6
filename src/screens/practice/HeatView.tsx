"use client";

import { useEffect, useRef, useState } from "react";
import { type Names } from "@/words/names";
import { type Units, inDegrees } from "@/words/show";
import { useSize } from "@/ui/useSize";
import { LEAST_SIZE, MOST_SIZE } from "@/core/practice/torch";
import { HeatPainter, viewOf } from "./draw";
import { type FieldLines, isotherms } from "./field";
import { markFlux, markIsotherms, markJoints, markParts } from "./marks";
import { heatColours } from "./palette";
import { type PracticeRun } from "./run";
import { SplitHandle } from "./SplitHandle";

interface Props {
  readonly run: PracticeRun;
  readonly names: Names;
  readonly units: Units;
  /** Whether the heat is shown right of the line that is dragged across. */
  readonly isSeen: boolean;
  readonly label: string;
}

/** Lines of equal temperature are found anew so often (ms), in a frame in which little else is done: they cost more than all else in one, and creep. */
const LINES_EVERY = 100;

/** mm that a wheel's notch changes the flame by. */
const NOTCH = 0.5;

/** The piece under the flame, drawn at every frame; the pointer or a finger holds the flame, the wheel sets its size. */
export function HeatView({ run, names, units, isSeen, label }: Props) {
  const [ref, { width, height }] = useSize(800, 394);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [share, setShare] = useState(0.5);
  const split = isSeen ? share * width : width;
  const splitAt = useRef(split);
  useEffect(() => {
    splitAt.current = split;
  }, [split]);
  useEffect(() => frames(run, canvas.current, { width, height, names, units, splitAt }), [run, width, height, names, units]);
  const put = (event: React.PointerEvent) => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    const { perMm, x, y } = viewOf(run.body, width, height);
    run.hold({ x: (event.clientX - left - x) / perMm, y: (y - (event.clientY - top)) / perMm, isOn: true });
  };
  return (
    <div ref={ref} data-split className="relative h-full min-h-75 w-full overflow-hidden">
      <canvas
        ref={canvas}
        role="img"
        aria-label={label}
        tabIndex={0}
        className="absolute inset-0 size-full touch-none"
        onPointerMove={(event) => {
          if (event.pointerType === "mouse" || event.buttons > 0) put(event);
        }}
        onPointerDown={put}
        onPointerUp={(event) => {
          if (event.pointerType !== "mouse") run.hold({ isOn: false });
        }}
        onPointerCancel={() => run.hold({ isOn: false })}
        onPointerLeave={() => run.hold({ isOn: false })}
        onWheel={(event) => run.hold(sizedBy(run, event.deltaY > 0 ? -NOTCH : NOTCH))}
      />
      {isSeen && <SplitHandle share={share} width={width} onMove={setShare} />}
    </div>
  );
}

/** A flame so much larger, within what there is, held as far off as it was. */
export function sizedBy(run: PracticeRun, by: number): { readonly size: number } {
  return { size: Math.min(MOST_SIZE, Math.max(LEAST_SIZE, run.torchNow.size + by)) };
}

interface Drawn {
  readonly width: number;
  readonly height: number;
  readonly names: Names;
  readonly units: Units;
  /** Read at each frame: it is dragged. */
  readonly splitAt: { readonly current: number };
}

/** Goes on with the heat and draws it, frame by frame; gives what ends it. */
function frames(run: PracticeRun, element: HTMLCanvasElement | null, { width, height, names, units, splitAt }: Drawn): () => void {
  const canvas = element?.getContext("2d");
  if (!element || !canvas) return () => undefined;
  const dense = window.devicePixelRatio || 1;
  element.width = Math.round(width * dense);
  element.height = Math.round(height * dense);
  canvas.setTransform(dense, 0, 0, dense, 0, 0);
  const isStill = window.matchMedia("(prefers-reduced-motion: reduce)").matches;
  const painter = new HeatPainter(run.body, heatColours(getComputedStyle(element)), isStill);
  const { colours, fields } = painter;
  const view = viewOf(run.body, width, height);
  let last = performance.now();
  let frame = 0;
  let lines: readonly FieldLines[] = [];
  let linesAt = -Infinity;
  const draw = (now: number) => {
    const isBusy = run.advance(now - last);
    last = now;
    const { heat } = run;
    const split = splitAt.current;
    painter.draw(canvas, { heat, torch: run.torchNow, ghost: run.ghostTorch, view, width, height, split });
    if (split < width) {
      const marked = { heat, view, colours, names, units, width, height, split };
      if (now - linesAt >= (isBusy ? 2 : 1) * LINES_EVERY) {
        lines = fields.map((field) => ({
          field,
          lines: isotherms(field, heat.temperatures, (celsius) => inDegrees(celsius, units)),
        }));
        linesAt = now;
      }
      markIsotherms(canvas, lines, marked);
      markJoints(canvas, marked);
      markFlux(canvas, marked);
      markParts(canvas, marked);
    }
    frame = requestAnimationFrame(draw);
  };
  frame = requestAnimationFrame(draw);
  return () => cancelAnimationFrame(frame);
}
