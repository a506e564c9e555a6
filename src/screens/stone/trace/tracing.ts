"use client";

import { useEffect, useRef, useState } from "react";
import { fault } from "@/core/piece/fault";
import { type Mount } from "@/core/piece/piece";
import { moved, smoothed } from "@/core/stone/free-edit";
import { type Free } from "@/core/stone/shapes/free";
import { type OutlineShape, scaled, shapeFaults } from "@/core/stone/shapes/shapes";
import { type Point } from "@/core/geometry/outline";
import { laidBy, levelTurn } from "@/core/trace/laid";
import { type Spot } from "@/core/trace/pixels";
import { type TraceRefusal } from "@/core/trace/refusal";
import { type Squares } from "@/core/trace/squares";
import { type Traced } from "@/core/trace/trace";
import { type Drawing, MOST_DRAWING_BYTES } from "@/formats/drawings/drawing";
import { useSession } from "@/ui/session";
import { smallJpeg } from "@/ui/small-jpeg";
import { faultMessage } from "@/words/faults";
import { traceText } from "@/words/screens/trace";
import { traceClient } from "@/workers/trace/client";
import { type TraceAsk, type TraceReply } from "@/workers/trace/protocol";
import { takeTraced } from "../fields";

/** A picture that is being traced. */
export interface OpenPicture {
  /** No other picture that was opened has it. */
  readonly id: number;
  readonly file: Blob;
  /** Where the page shows it from. */
  readonly url: string;
  readonly isMadeUp: boolean;
  readonly width: number;
  readonly height: number;
  readonly squares: Squares | null;
}

/** What says how large the picture shows things. */
export interface PictureScale {
  readonly by: "rule" | "squares";
  /** The ends of the rule (pixels), and how long what it lies on is (mm); null while nobody said. */
  readonly ends: readonly [Spot, Spot];
  readonly mm: number | null;
  /** How long a square's side is (mm). */
  readonly square: number | null;
}

export interface Tracing {
  readonly picture: OpenPicture | null;
  readonly drawing: Drawing | null;
  readonly scale: PictureScale | null;
  readonly pxPerMm: number | null;
  readonly traced: Traced | null;
  /** The traced outline with what the maker moved. */
  readonly outline: Free | null;
  readonly isLevel: boolean;
  readonly isBusy: boolean;
  readonly problem: string | null;
  readonly open: (file: File) => void;
  readonly takeMadeUp: () => void;
  readonly stop: () => void;
  readonly close: () => void;
  readonly setEnds: (ends: readonly [Spot, Spot]) => void;
  readonly setKnown: (mm: number | null) => void;
  readonly setSquare: (mm: number) => void;
  readonly press: (at: Spot) => void;
  readonly movePoint: (index: number, to: Point) => void;
  readonly smooth: () => void;
  readonly setLevel: (isLevel: boolean) => void;
  readonly use: (regular?: OutlineShape) => void;
  readonly useDrawn: (outline: OutlineShape) => void;
}

/** Pixels to a mm as the scale says; null while it does not. */
function pxPerMmOf(scale: PictureScale | null, picture: OpenPicture | null): number | null {
  if (!scale || !picture) return null;
  if (scale.by === "squares" && picture.squares && scale.square) {
    const [along, across] = picture.squares.pitch;
    return (along + across) / 2 / scale.square;
  }
  const [[ax, ay], [bx, by]] = scale.ends;
  return scale.mm === null ? null : Math.hypot(bx - ax, by - ay) / scale.mm;
}

/** How much about the stone is kept of its picture, as a share of its size. */
const KEPT_ABOUT = 0.1;

/** Tracing a stone's outline from a picture or a drawing; `onDone` once it is taken. */
export function useTracing(mount: Mount, onDone: () => void): Tracing {
  const session = useSession();
  const [client] = useState(traceClient);
  const [picture, setPicture] = useState<OpenPicture | null>(null);
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const [scale, setScale] = useState<PictureScale | null>(null);
  const [traced, setTraced] = useState<Traced | null>(null);
  const [outline, setOutline] = useState<Free | null>(null);
  const [isMoved, setMoved] = useState(false);
  const [isLevel, setLevel] = useState(false);
  const [isBusy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const madeUp = useRef(0);
  const opened = useRef(0);
  const shown = useRef<string | null>(null);
  useEffect(
    () => () => {
      client.end();
      if (shown.current) URL.revokeObjectURL(shown.current);
    },
    [client],
  );

  const ask = (question: TraceAsk, then: (reply: TraceReply) => void) => {
    setBusy(true);
    setProblem(null);
    void client.ask(question).then(
      (reply) => {
        if (!reply) return;
        setBusy(false);
        if (reply.kind === "refused") setProblem(refusalText(reply.refusal, question));
        else then(reply);
      },
      (error: unknown) => {
        setBusy(false);
        setProblem(traceText.couldNot(String(error)));
      },
    );
  };

  const showPicture = (file: Blob, isMadeUp: boolean) => {
    opened.current += 1;
    const id = opened.current;
    ask({ kind: "picture", picture: { id, file } }, (reply) => {
      if (reply.kind !== "picture") return;
      if (shown.current) URL.revokeObjectURL(shown.current);
      shown.current = URL.createObjectURL(file);
      const { width, height, squares } = reply;
      setPicture({ id, file, url: shown.current, isMadeUp, width, height, squares });
      setDrawing(null);
      setTraced(null);
      setOutline(null);
      setScale({
        by: squares ? "squares" : "rule",
        ends: [
          [width * 0.3, height * 0.92],
          [width * 0.7, height * 0.92],
        ],
        mm: null,
        square: null,
      });
    });
  };

  const trace = (pxPerMm: number | null, at: Spot | null, of: OpenPicture | null = picture) => {
    if (!of || pxPerMm === null) return;
    // what was traced at another scale, or of another stone, is not to be taken if this search finds nothing
    setTraced(null);
    setOutline(null);
    ask({ kind: "stone", picture: { id: of.id, file: of.file }, pxPerMm, at }, (reply) => {
      if (reply.kind !== "stone") return;
      setTraced(reply.traced);
      setOutline(reply.traced.outline);
      setMoved(false);
    });
  };

  const rescale = (next: PictureScale) => {
    const [before, now] = [pxPerMmOf(scale, picture), pxPerMmOf(next, picture)];
    setScale(next);
    if (now === null) return;
    if (isMoved && outline && before !== null) setOutline(scaled(outline, before / now));
    else trace(now, null);
  };

  const pxPerMm = pxPerMmOf(scale, picture);
  const edit = (next: Free) => {
    const [wrong] = shapeFaults(next);
    if (wrong) return setProblem(traceText.theOutline(faultMessage(fault("", wrong.code, wrong.values))));
    setProblem(null);
    setMoved(true);
    setOutline(next);
  };

  const use = async (regular?: OutlineShape) => {
    if (!picture || !traced || !outline || pxPerMm === null) return;
    const part = partAbout(traced.line, picture);
    const middle: Spot = [traced.middle[0] - part.x, traced.middle[1] - part.y];
    const laid = laidBy(outline, isLevel ? levelTurn(outline) : 0, { width: part.width, height: part.height, middle, pxPerMm });
    const small = await smallJpeg(picture.file, part);
    if (!small.ok) return setProblem(traceText.thePicture(small.problem));
    const kept = {
      jpeg: small.jpeg,
      pxPerMm: (pxPerMm * small.width) / part.width,
      at: laid.at,
      ...(laid.turn !== 0 && { turn: laid.turn }),
    };
    const told = takeTraced(session, mount.id, regular ?? laid.outline, kept, picture.isMadeUp);
    if (told) setProblem(traceText.theOutline(told));
    else onDone();
  };

  return {
    picture,
    drawing,
    scale,
    pxPerMm,
    traced,
    outline,
    isLevel,
    isBusy,
    problem,
    open: (file) => {
      if (isDrawing(file)) {
        if (file.size > MOST_DRAWING_BYTES) return setProblem(traceText.tooLarge(MOST_DRAWING_BYTES / 1048576));
        void file.text().then((text) =>
          ask({ kind: "drawing", name: file.name, text }, (reply) => {
            if (reply.kind !== "drawing") return;
            setDrawing(reply.drawing);
            setPicture(null);
          }),
        );
      } else showPicture(file, false);
    },
    takeMadeUp: () => {
      const number = madeUp.current;
      madeUp.current += 1;
      ask({ kind: "made-up", number }, (reply) => reply.kind === "made-up" && showPicture(reply.file, true));
    },
    stop: () => {
      client.cancel();
      setBusy(false);
      setProblem(traceText.stopped);
    },
    close: onDone,
    setEnds: (ends) => scale && rescale({ ...scale, ends, by: "rule" }),
    setKnown: (mm) => scale && rescale({ ...scale, mm, by: "rule" }),
    setSquare: (square) => scale && rescale({ ...scale, square, by: "squares" }),
    press: (at) => trace(pxPerMm, at),
    movePoint: (index, to) => outline && edit(moved(outline, index, to)),
    smooth: () => outline && edit(smoothed(outline)),
    setLevel,
    use: (regular) => void use(regular),
    useDrawn: (drawn) => {
      const told = takeTraced(session, mount.id, drawn, null, false);
      if (told) setProblem(traceText.theOutline(told));
      else onDone();
    },
  };
}

function isDrawing({ name, type }: File): boolean {
  return /\.(svg|dxf|csv|txt)$/i.test(name) || type === "image/svg+xml";
}

function refusalText({ code, values }: TraceRefusal, { kind }: TraceAsk): string {
  const message = faultMessage(fault("", code, values));
  return kind === "drawing" ? traceText.theDrawing(message) : traceText.thePicture(message);
}

/** The part of a picture about a line in it, in whole pixels. */
function partAbout(line: readonly Spot[], { width, height }: { readonly width: number; readonly height: number }) {
  const range = (axis: 0 | 1, most: number) => {
    const values = line.map((spot) => spot[axis]);
    const [low, high] = [values.reduce((a, b) => Math.min(a, b), Infinity), values.reduce((a, b) => Math.max(a, b), -Infinity)];
    const about = (high - low) * KEPT_ABOUT;
    return [Math.max(0, Math.floor(low - about)), Math.min(most, Math.ceil(high + about))] as const;
  };
  const [[left, right], [top, foot]] = [range(0, width), range(1, height)];
  return { x: left, y: top, width: right - left, height: foot - top };
}
