"use client";

import { useEffect, useRef, useState } from "react";
import { fault } from "@/core/piece/fault";
import { moved, smoothed } from "@/core/stone/free-edit";
import { type Free } from "@/core/stone/shapes/free";
import { scaled, shapeFaults } from "@/core/stone/shapes/shapes";
import { type Point } from "@/core/geometry/outline";
import { type PicturePart, type Spot } from "@/core/trace/pixels";
import { type TraceRefusal } from "@/core/trace/refusal";
import { type Squares } from "@/core/trace/squares";
import { type PictureScale, type Traced } from "@/core/trace/trace";
import { type Drawing, MOST_DRAWING_BYTES } from "@/formats/drawings/drawing";
import { faultMessage } from "@/words/faults";
import { traceText } from "@/words/screens/trace";
import { traceClient } from "@/workers/trace/client";
import { type TraceAsk, type TraceReply, type TraceView } from "@/workers/trace/protocol";
import { type ScaleChoice, perspectiveOf, scaleOf } from "./scale";

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

/** Where the maker said that the stone lies: at a spot, or within a part of the picture. */
type Where = { readonly at: Spot } | { readonly within: PicturePart };

export interface Tracing {
  readonly view: TraceView;
  readonly picture: OpenPicture | null;
  readonly drawing: Drawing | null;
  readonly choice: ScaleChoice | null;
  readonly scale: PictureScale | null;
  /** Pixels a mm of the picture from above; null where there is none. */
  readonly above: number | null;
  /** What is left of perspective, as a share; null where only one length is known. */
  readonly perspective: number | null;
  /** Whether the next press is on a round thing whose diameter is known. */
  readonly isPickingRound: boolean;
  readonly traced: Traced | null;
  /** The traced outline with what the maker moved. */
  readonly outline: Free | null;
  readonly isLevel: boolean;
  readonly isBusy: boolean;
  readonly problem: string | null;
  readonly open: (file: File) => void;
  readonly takeMadeUp: () => void;
  readonly stop: () => void;
  readonly tell: (problem: string | null) => void;
  readonly choose: (change: Partial<ScaleChoice>) => void;
  readonly pickRound: (isPicking: boolean) => void;
  readonly press: (at: Spot) => void;
  readonly box: (part: PicturePart) => void;
  readonly movePoint: (index: number, to: Point) => void;
  readonly smooth: () => void;
  /** Takes back the last move or smoothing; null where there is none. */
  readonly undo: (() => void) | null;
  readonly setLevel: (isLevel: boolean) => void;
}

/** An edit of the traced outline: what it was before, and which point was moved. */
interface Edit {
  readonly before: Free;
  readonly point: number | null;
}

/** The least side of a part of a picture in which a stone is looked for (pixels). */
const LEAST_BOX = 48;

/** Tracing a stone's outline from a picture or a drawing; `above` is the scale of the picture from above, where this one is from the side. */
export function useTracing(view: TraceView, above: number | null): Tracing {
  const [client] = useState(traceClient);
  const [picture, setPicture] = useState<OpenPicture | null>(null);
  const [drawing, setDrawing] = useState<Drawing | null>(null);
  const [choice, setChoice] = useState<ScaleChoice | null>(null);
  const [where, setWhere] = useState<Where | null>(null);
  const [isPickingRound, setPickingRound] = useState(false);
  const [traced, setTraced] = useState<Traced | null>(null);
  const [outline, setOutline] = useState<Free | null>(null);
  const [edits, setEdits] = useState<readonly Edit[]>([]);
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

  const setFound = (found: Traced | null) => {
    setTraced(found);
    setOutline(found && found.outline);
    setEdits([]);
  };

  const scalable = (of: OpenPicture) => ({ squares: of.squares, above });

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
      setWhere(null);
      setPickingRound(false);
      setFound(null);
      setChoice({
        by: squares ? "squares" : "rule",
        ends: [
          [width * 0.3, height * 0.92],
          [width * 0.7, height * 0.92],
        ],
        mm: null,
        square: null,
        round: null,
        diameter: null,
      });
    });
  };

  const trace = (of: OpenPicture, { scale, round, lies }: { scale: PictureScale | null; round: Spot | null; lies: Where | null }) => {
    // what was traced at another scale, or of another stone, is not to be taken if this search finds nothing
    setFound(null);
    setWhere(lies);
    if (!scale) return;
    const request = { ...scale, ...lies, ...(round && { not: round }) };
    ask({ kind: "stone", picture: { id: of.id, file: of.file }, request }, (reply) => reply.kind === "stone" && setFound(reply.traced));
  };

  const scale = choice && picture ? scaleOf(choice, scalable(picture)) : null;

  const rescale = (change: Partial<ScaleChoice>) => {
    if (!choice || !picture) return;
    const next = { ...choice, ...change };
    const now = scaleOf(next, scalable(picture));
    setChoice(next);
    const isTiltKept = now?.tilt === scale?.tilt;
    if (now && scale && isTiltKept && edits.length > 0 && outline) {
      const by = scale.pxPerMm / now.pxPerMm;
      setOutline(scaled(outline, by));
      setEdits(edits.map((each) => ({ ...each, before: scaled(each.before, by) })));
    } else trace(picture, { scale: now, round: next.round?.middle ?? null, lies: where });
  };

  const findRound = (of: OpenPicture, at: Spot) => {
    setPickingRound(false);
    ask(
      { kind: "round", picture: { id: of.id, file: of.file }, at },
      (reply) => reply.kind === "round" && rescale({ by: "round", round: reply.round }),
    );
  };

  const edit = (next: Free, point: number | null) => {
    const [wrong] = shapeFaults(next);
    if (wrong) return setProblem(traceText.theOutline(faultMessage(fault("", wrong.code, wrong.values))));
    setProblem(null);
    const isSame = point !== null && edits.at(-1)?.point === point;
    if (!isSame && outline) setEdits([...edits, { before: outline, point }]);
    setOutline(next);
  };

  const round = choice?.round?.middle ?? null;
  const last = edits.at(-1);

  return {
    view,
    picture,
    drawing,
    choice,
    scale,
    above,
    perspective: choice && picture ? perspectiveOf(choice, scalable(picture)) : null,
    isPickingRound,
    traced,
    outline,
    isLevel,
    isBusy,
    problem,
    open: (file) => {
      if (!isDrawing(file)) return showPicture(file, false);
      if (view === "side") return setProblem(traceText.noDrawingFromTheSide);
      if (file.size > MOST_DRAWING_BYTES) return setProblem(traceText.tooLarge(MOST_DRAWING_BYTES / 1048576));
      void file.text().then((text) =>
        ask({ kind: "drawing", name: file.name, text }, (reply) => {
          if (reply.kind !== "drawing") return;
          setDrawing(reply.drawing);
          setPicture(null);
        }),
      );
    },
    takeMadeUp: () => {
      const number = madeUp.current;
      madeUp.current += 1;
      ask({ kind: "made-up", number, view }, (reply) => reply.kind === "made-up" && showPicture(reply.file, true));
    },
    stop: () => {
      client.cancel();
      setBusy(false);
      setProblem(traceText.stopped);
    },
    tell: setProblem,
    choose: rescale,
    pickRound: setPickingRound,
    press: (at) => {
      if (!picture) return;
      if (isPickingRound) findRound(picture, at);
      else if (scale) trace(picture, { scale, round, lies: { at } });
    },
    box: (within) => {
      if (!picture || !scale) return;
      if (Math.min(within.width, within.height) < LEAST_BOX) return;
      trace(picture, { scale, round, lies: { within } });
    },
    movePoint: (index, to) => outline && edit(moved(outline, index, to), index),
    smooth: () => outline && edit(smoothed(outline), null),
    undo: last
      ? () => {
          setOutline(last.before);
          setEdits(edits.slice(0, -1));
        }
      : null,
    setLevel,
  };
}

function isDrawing({ name, type }: File): boolean {
  return /\.(svg|dxf|csv|txt)$/i.test(name) || type === "image/svg+xml";
}

function refusalText({ code, values }: TraceRefusal, { kind }: TraceAsk): string {
  const message = faultMessage(fault("", code, values));
  return kind === "drawing" ? traceText.theDrawing(message) : traceText.thePicture(message);
}
