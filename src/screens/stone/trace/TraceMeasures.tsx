"use client";

import { useEffect, useRef, useState } from "react";
import { type OutlineShape } from "@/core/stone/shapes/shapes";
import { type Mount } from "@/core/piece/piece";
import { Segments } from "@/ui/Segments";
import { useSession } from "@/ui/session";
import { standInsOn } from "@/ui/stand-ins";
import { traceMeasuresText } from "@/words/screens/trace";
import { type TraceView } from "@/workers/trace/protocol";
import { DrawnOutlines } from "./DrawnOutlines";
import { FoundMeasures } from "./FoundMeasures";
import { ScaleMeasures } from "./ScaleMeasures";
import { SideMeasures } from "./SideMeasures";
import { takeDrawn, takePicture } from "./taking";
import { type SideState } from "./side-reading";
import { type Tracing } from "./tracing";

interface Props {
  readonly mount: Mount;
  readonly tracing: Tracing;
  readonly side: SideState;
  readonly onView: (view: TraceView) => void;
  readonly onDone: () => void;
}

const PICTURES = "image/png,image/jpeg,image/webp";

/** What is asked of a picture, and what was found in it. */
export function TraceMeasures({ mount, tracing, side, onView, onDone }: Props) {
  const { view, picture, drawing, outline, problem } = tracing;
  const session = useSession();
  const input = useRef<HTMLInputElement>(null);
  const [hasStandIn] = useState(standInsOn);
  const choose = useRef<HTMLButtonElement>(null);
  useEffect(() => choose.current?.focus({ preventScroll: true }), []);
  usePasted(tracing.open);
  const ended = (told: string | null) => (told ? tracing.tell(told) : onDone());
  const use = (regular?: OutlineShape) => void takePicture(session, mount, tracing, regular).then(ended);
  return (
    <>
      <div className="flex items-center justify-between">
        <h2 className="section-head">{traceMeasuresText.photograph}</h2>
        <button type="button" className="btn btn-small" onClick={onDone}>
          {traceMeasuresText.back}
        </button>
      </div>
      <div className="pt-1.5">
        <Segments
          label={traceMeasuresText.view}
          value={view}
          options={[
            { value: "above", text: traceMeasuresText.fromAbove },
            { value: "side", text: traceMeasuresText.fromSide },
          ]}
          onChoose={onView}
        />
      </div>
      <input
        ref={input}
        type="file"
        accept={view === "side" ? PICTURES : `${PICTURES},image/svg+xml,.svg,.dxf,.csv`}
        aria-label={traceMeasuresText.choose}
        className="hidden"
        onChange={(event) => {
          if (event.target.files?.[0]) tracing.open(event.target.files[0]);
          event.target.value = "";
        }}
      />
      <div className="flex flex-wrap gap-1.5 py-1.5">
        <button ref={choose} type="button" className={`btn ${picture || drawing ? "" : "btn-main"}`} onClick={() => input.current?.click()}>
          {picture || drawing ? traceMeasuresText.another : traceMeasuresText.choose}
        </button>
        {hasStandIn && (
          <button type="button" className="btn" onClick={tracing.takeMadeUp}>
            {traceMeasuresText.madeUp}
          </button>
        )}
      </div>
      {hasStandIn && !picture && <p className="narrow text-xs text-soft">{traceMeasuresText.madeUpHint}</p>}
      {picture?.isMadeUp && <p className="rounded-sm bg-warn-wash px-2 py-1 text-sm text-warn">{traceMeasuresText.isMadeUp}</p>}
      {problem && (
        <p role="alert" className="my-1.5 rounded-sm bg-bad-wash px-2 py-1 text-sm text-melt">
          <span aria-hidden="true">◆ </span>
          {problem}.
        </p>
      )}
      {drawing && <DrawnOutlines drawing={drawing} onUse={(each) => ended(takeDrawn(session, mount, each))} />}
      <ScaleMeasures key={`${view} ${picture?.id}`} tracing={tracing} />
      {picture && outline && view === "above" && <FoundMeasures tracing={tracing} onUse={use} />}
      {picture && outline && view === "side" && <SideMeasures mount={mount} tracing={tracing} side={side} />}
    </>
  );
}

/** A picture pasted anywhere on the page. */
function usePasted(open: (file: File) => void): void {
  const latest = useRef(open);
  useEffect(() => {
    latest.current = open;
  });
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      const file = event.clipboardData?.files[0];
      if (!file) return;
      event.preventDefault();
      latest.current(file);
    };
    window.addEventListener("paste", onPaste);
    return () => window.removeEventListener("paste", onPaste);
  }, []);
}
