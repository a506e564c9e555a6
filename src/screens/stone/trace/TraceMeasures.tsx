"use client";

import { type ReactNode, useEffect, useMemo, useRef, useState } from "react";
import { readLength } from "@/core/measure/reading";
import { nearestRegular } from "@/core/stone/fit";
import { outlineOfShape } from "@/core/stone/shapes/shapes";
import { laidBy, levelTurn } from "@/core/trace/laid";
import { type DrawnOutline } from "@/core/trace/drawn";
import { Shape } from "@/ui/Drawing";
import { standInsOn } from "@/ui/stand-ins";
import { useUnits } from "@/ui/tray";
import { leftOutText } from "@/words/drawings";
import { scatterText, squareText, traceMeasuresText } from "@/words/screens/trace";
import { lengthUnit, showLength, showPercent, withUnit } from "@/words/show";
import { stoneSize } from "@/words/stone-size";
import { type Tracing } from "./tracing";

/** Sides of a square that squared paper is sold with (mm). */
const SQUARES = [1, 2, 5, 10, 6.35] as const;
/** A difference of the squares' two ways that is worth a word. */
const TILT_SEEN = 0.004;

/** What is asked of a picture, and what was found in it. */
export function TraceMeasures({ tracing }: { readonly tracing: Tracing }) {
  const { picture, drawing, outline, problem } = tracing;
  const input = useRef<HTMLInputElement>(null);
  const [hasStandIn] = useState(standInsOn);
  const choose = useRef<HTMLButtonElement>(null);
  useEffect(() => choose.current?.focus({ preventScroll: true }), []);
  usePasted(tracing.open);
  return (
    <>
      <div className="flex items-center justify-between">
        <h2 className="section-head">{traceMeasuresText.photograph}</h2>
        <button type="button" className="btn btn-small" onClick={tracing.close}>
          {traceMeasuresText.back}
        </button>
      </div>
      <input
        ref={input}
        type="file"
        accept="image/png,image/jpeg,image/webp,image/svg+xml,.svg,.dxf,.csv"
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
      {drawing && <DrawnOutlines tracing={tracing} />}
      {picture && <ScaleMeasures tracing={tracing} />}
      {picture && outline && <FoundMeasures tracing={tracing} />}
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

function Row({ label, hint, children }: { readonly label: ReactNode; readonly hint?: string | undefined; readonly children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-2 gap-y-1 border-t border-hair py-1.5 text-sm">
      <span className="leading-tight">
        {label}
        {hint && <small className="narrow block text-xs text-soft">{hint}</small>}
      </span>
      {children}
    </div>
  );
}

function ScaleMeasures({ tracing }: { readonly tracing: Tracing }) {
  const units = useUnits();
  const { scale, picture, pxPerMm } = tracing;
  const squares = picture!.squares;
  const tilt = squares ? Math.max(...squares.pitch) / Math.min(...squares.pitch) - 1 : 0;
  const chosen = scale!.by === "squares" ? scale!.square : null;
  return (
    <>
      <h2 className="section-head">{traceMeasuresText.scale}</h2>
      {squares && (
        <Row
          label={traceMeasuresText.oneSquareIs}
          hint={traceMeasuresText.squaresFound(((squares.pitch[0] + squares.pitch[1]) / 2).toFixed(1))}
        >
          <span className="flex flex-wrap justify-end gap-1">
            {SQUARES.map((mm) => (
              <button
                key={mm}
                type="button"
                aria-pressed={chosen === mm}
                onClick={() => tracing.setSquare(mm)}
                className={`pressed rounded-sm border px-1.5 py-0.5 ${chosen === mm ? "border-accent bg-accent-wash font-semibold text-accent-deep" : "border-line bg-sheet text-soft"}`}
              >
                {squareText(mm)}
              </button>
            ))}
          </span>
        </Row>
      )}
      {tilt > TILT_SEEN && chosen && (
        <p className="text-xs text-warn">{traceMeasuresText.tiltSeen(showPercent(tilt, 1).replace(/ ?%/, ""))}</p>
      )}
      <RuleLength key={units.length} tracing={tracing} />
      <p className="text-xs text-soft">{pxPerMm ? traceMeasuresText.perMm(pxPerMm.toFixed(2)) : traceMeasuresText.sayTheScale}</p>
    </>
  );
}

/** How long what the rule lies on is. */
function RuleLength({ tracing }: { readonly tracing: Tracing }) {
  const units = useUnits();
  const known = tracing.scale!.mm;
  const [text, setText] = useState(known === null ? "" : showLength(known, "measured", units));
  const [problem, setProblem] = useState<string | null>(null);
  const take = () => {
    if (text.trim() === "") return;
    const read = readLength(text, units.length);
    if (!read.ok || read.value <= 0) return setProblem(text);
    setProblem(null);
    if (read.value !== known || tracing.scale!.by !== "rule") tracing.setKnown(read.value);
  };
  return (
    <>
      <Row label={<label htmlFor="trace-rule">{traceMeasuresText.ruleIs}</label>} hint={traceMeasuresText.ruleHint}>
        <span className={`entry w-24 ${problem === null ? "" : "entry-wrong"}`}>
          <input
            id="trace-rule"
            value={text}
            inputMode="decimal"
            autoComplete="off"
            aria-invalid={problem !== null}
            onChange={(event) => setText(event.target.value)}
            onBlur={take}
            onKeyDown={(event) => event.key === "Enter" && take()}
            onFocus={(event) => event.target.select()}
          />
          <span className="unit">{lengthUnit(units)}</span>
        </span>
      </Row>
      {problem !== null && (
        <p role="alert" className="text-xs text-bad">
          ◆ {traceMeasuresText.notALength(problem)}.
        </p>
      )}
    </>
  );
}

function FoundMeasures({ tracing }: { readonly tracing: Tracing }) {
  const units = useUnits();
  const { outline, traced, isLevel } = tracing;
  const laid = useMemo(() => {
    if (!outline) return null;
    const turn = isLevel ? levelTurn(outline) : 0;
    const { outline: shape } = laidBy(outline, turn, { width: 0, height: 0, middle: [0, 0], pxPerMm: 1 });
    const whole = outlineOfShape(shape);
    return { whole, fit: nearestRegular(whole) };
  }, [outline, isLevel]);
  if (!laid || !traced) return null;
  const { whole, fit } = laid;
  return (
    <>
      <h2 className="section-head">{traceMeasuresText.trace}</h2>
      <Row label={traceMeasuresText.round} hint={traceMeasuresText.scatter(scatterText(traced.scatter, units))}>
        <b className="font-semibold">{withUnit(whole.perimeter, "measured", units)}</b>
      </Row>
      <Row label={traceMeasuresText.size}>
        <b className="font-semibold">
          {showLength(whole.extent(0), "measured", units)} × {withUnit(whole.extent(Math.PI / 2), "measured", units)}
        </b>
      </Row>
      {traced.doubtfulShare > 0 && (
        <p className="text-xs text-warn">○ {traceMeasuresText.doubtful(Math.max(1, Math.round(traced.doubtfulShare * 100)).toString())}</p>
      )}
      <Row label={traceMeasuresText.points} hint={traceMeasuresText.pointsHint}>
        <button type="button" className="btn btn-small" onClick={tracing.smooth}>
          {traceMeasuresText.smooth}
        </button>
      </Row>
      <Row label={<label htmlFor="trace-level">{traceMeasuresText.level}</label>} hint={traceMeasuresText.levelHint}>
        <input id="trace-level" type="checkbox" checked={isLevel} onChange={(event) => tracing.setLevel(event.target.checked)} />
      </Row>
      <p className="pt-1 text-xs text-soft">{traceMeasuresText.notIt}</p>
      <div className="mt-2 flex flex-col gap-1.5">
        <button type="button" className="btn btn-main justify-center" onClick={() => tracing.use()}>
          {traceMeasuresText.use}
        </button>
        <p className="text-sm text-soft">
          {traceMeasuresText.nearest} <b className="font-semibold text-ink">{stoneSize(fit.shape, units)}</b>
          {traceMeasuresText.offBy(withUnit(fit.off, "measured", units))}
        </p>
        <button type="button" className="btn justify-center" onClick={() => tracing.use(fit.shape)}>
          {traceMeasuresText.useShape(stoneSize(fit.shape, units))}
        </button>
      </div>
    </>
  );
}

/** The closed outlines of a drawing, each with its picture. */
function DrawnOutlines({ tracing }: { readonly tracing: Tracing }) {
  const { outlines, leftOut } = tracing.drawing!;
  return (
    <>
      <h2 className="section-head">{traceMeasuresText.outlines(outlines.length)}</h2>
      <ul className="flex flex-col">
        {outlines.map((each, i) => (
          <li key={i} className="flex items-center gap-2.5 border-t border-hair py-1.5 text-sm">
            <Thumbnail drawn={each} />
            <DrawnSize drawn={each} />
            <button
              type="button"
              className={`btn btn-small ml-auto ${i === 0 ? "btn-main" : ""}`}
              onClick={() => tracing.useDrawn(each.outline)}
            >
              {traceMeasuresText.useIt}
            </button>
          </li>
        ))}
      </ul>
      {leftOut.length > 0 && (
        <p className="border-t border-hair pt-1.5 text-xs text-soft">
          {traceMeasuresText.leftOut} {leftOut.map(leftOutText).join("; ")}.
        </p>
      )}
    </>
  );
}

function DrawnSize({ drawn }: { readonly drawn: DrawnOutline }) {
  const units = useUnits();
  const { extent } = outlineOfShape(drawn.outline);
  return (
    <span>
      <b className="font-semibold">{drawn.outline.shape === "free" ? traceMeasuresText.freeForm : stoneSize(drawn.outline, units)}</b>
      <small className="block text-xs text-soft">
        {showLength(extent(0), "measured", units)} × {withUnit(extent(Math.PI / 2), "measured", units)}
      </small>
    </span>
  );
}

const THUMBNAIL = 44;

function Thumbnail({ drawn }: { readonly drawn: DrawnOutline }) {
  const { extent, stations } = outlineOfShape(drawn.outline);
  const scale = (THUMBNAIL - 6) / Math.max(extent(0), extent(Math.PI / 2));
  return (
    <svg width={THUMBNAIL} height={THUMBNAIL} aria-hidden="true" className="flex-none">
      <g transform={`translate(${THUMBNAIL / 2} ${THUMBNAIL / 2}) scale(${scale} ${-scale})`}>
        <Shape
          points={stations.map(({ x, y }) => [x, y] as const)}
          fill="var(--color-sage-pale)"
          stroke="var(--color-ink)"
          strokeWidth={1}
        />
      </g>
    </svg>
  );
}
