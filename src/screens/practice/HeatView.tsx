"use client";

import { useEffect, useRef } from "react";
import { type Names } from "@/words/names";
import { type Units, showTemperature } from "@/words/show";
import { practiceText } from "@/words/screens/practice";
import { useSize } from "@/ui/useSize";
import { partNow } from "@/core/practice/play";
import { LEAST_SIZE, MOST_SIZE } from "@/core/practice/torch";
import { type PracticeRun } from "./run";
import { drawHeat, heatColours, viewOf } from "./draw";

interface Props {
  readonly run: PracticeRun;
  readonly names: Names;
  readonly units: Units;
  /** Whether temperatures stand on the parts. */
  readonly isSeen: boolean;
  readonly label: string;
}

/** mm that a wheel's notch changes the flame by. */
const NOTCH = 0.5;

/** The piece under the flame, drawn at every frame; the pointer or a finger holds the flame, the wheel sets its size. */
export function HeatView({ run, names, units, isSeen, label }: Props) {
  const [ref, { width, height }] = useSize(800, 394);
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => frames(run, canvas.current, { width, height, names, units, isSeen }), [run, width, height, names, units, isSeen]);
  const put = (event: React.PointerEvent) => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    const { perMm, x, y } = viewOf(run.body, width, height);
    run.hold({ x: (event.clientX - left - x) / perMm, y: (y - (event.clientY - top)) / perMm, isOn: true });
  };
  return (
    <div ref={ref} className="relative h-full min-h-75 w-full overflow-hidden">
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
  readonly isSeen: boolean;
}

/** Goes on with the heat and draws it, frame by frame; gives what ends it. */
function frames(run: PracticeRun, element: HTMLCanvasElement | null, { width, height, names, units, isSeen }: Drawn): () => void {
  const canvas = element?.getContext("2d");
  if (!element || !canvas) return () => undefined;
  const dense = window.devicePixelRatio || 1;
  element.width = Math.round(width * dense);
  element.height = Math.round(height * dense);
  canvas.setTransform(dense, 0, 0, dense, 0, 0);
  const colours = heatColours(getComputedStyle(document.documentElement));
  const view = viewOf(run.body, width, height);
  let last = performance.now();
  let frame = 0;
  const draw = (now: number) => {
    run.advance(now - last);
    last = now;
    drawHeat(
      canvas,
      { heat: run.heat, torch: run.torchNow, ghost: run.ghostTorch, view, colours, isMesh: run.body.support === "mesh" },
      width,
      height,
    );
    if (isSeen) label();
    frame = requestAnimationFrame(draw);
  };
  const label = () => {
    canvas.font = "600 15px Archivo, sans-serif";
    canvas.lineWidth = 4;
    run.body.parts.forEach((part, p) => {
      const bit = part.grid ? hottestIn(run, part.from, part.to) : part.from;
      const text = practiceText.partAt(names.part(part.id), `${showTemperature(partNow(run.heat, p).mean, units)}°`);
      const [x, y] = [view.x + run.body.x[bit]! * view.perMm + 8, view.y - run.body.y[bit]! * view.perMm + 5];
      canvas.strokeStyle = colours.mesh;
      canvas.strokeText(text, x, y);
      canvas.fillStyle = colours.ink;
      canvas.fillText(text, x, y);
    });
  };
  frame = requestAnimationFrame(draw);
  return () => cancelAnimationFrame(frame);
}

function hottestIn({ heat }: PracticeRun, from: number, to: number): number {
  let found = from;
  for (let bit = from; bit < to; bit++) if (heat.temperatures[bit]! > heat.temperatures[found]!) found = bit;
  return found;
}
