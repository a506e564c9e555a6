"use client";

import { useDeferredValue, useMemo, useState } from "react";
import { type Mount } from "@/core/piece/piece";
import { nearestRegular } from "@/core/stone/fit";
import { fromReadings, mirroredAcross, readingsOf, smoothed } from "@/core/stone/free-edit";
import { type Free } from "@/core/stone/shapes/free";
import { type OutlineShape, outlineOfShape } from "@/core/stone/shapes/shapes";
import { readLength } from "@/core/measure/reading";
import { focusNextMeasure } from "@/ui/next-measure";
import { useSession, useWhileHeld } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { counted } from "@/words/names";
import { type Units, showLength, withUnit } from "@/words/show";
import { stoneSize } from "@/words/stone-size";
import { useFreeForm } from "./FreePoints";
import { pointsKey, stoneOf, takeOutline } from "./fields";
import { commonText } from "@/words/common";
import { freeMeasuresText } from "@/words/screens/stone";

interface Props {
  readonly mount: Mount;
  readonly shape: Free;
}

/** What can be done with a free-form as a whole, and the regular shape it comes nearest to. */
export function FreeMeasures({ mount, shape }: Props) {
  const change = useFreeForm(mount.id, false);
  const [isRead, setRead] = useState(false);
  return (
    <div className="border-t border-hair py-1.5 text-sm">
      <p className="text-soft">{freeMeasuresText.dragOneToMoveIt(counted(shape.points.length, "point"))}</p>
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        <button type="button" className="btn" onClick={() => change(smoothed)}>
          {freeMeasuresText.smooth}
        </button>
        <button type="button" className="btn" onClick={() => change(mirroredAcross)}>
          {freeMeasuresText.mirror}
        </button>
        <button type="button" className="btn" aria-expanded={isRead} onClick={() => setRead(!isRead)}>
          {freeMeasuresText.caliperReadings}
        </button>
      </div>
      {isRead && <Readings mount={mount} shape={shape} onDone={() => setRead(false)} />}
      <NearestShape mount={mount} shape={shape} />
    </div>
  );
}

/** "An oval 17.9 x 13.1, off by at most 0.08": taken if the maker likes. */
function NearestShape({ mount, shape }: Props) {
  const session = useSession();
  const units = useUnits();
  const settled = useDeferredValue(useWhileHeld(shape));
  const fit = useMemo(() => nearestRegular(outlineOfShape(settled)), [settled]);
  const take = (outline: OutlineShape) => takeOutline(session, mount.id, shape, outline, true);
  const name = fit.shape.shape === "oval" ? freeMeasuresText.oval(stoneSize(fit.shape, units)) : stoneSize(fit.shape, units);
  return (
    <div className="mt-2 flex items-center justify-between gap-2 border-t border-hair pt-1.5">
      <span className="text-soft">
        {freeMeasuresText.nearest} <b className="font-semibold text-ink">{name}</b>
        {freeMeasuresText.offByAtMost(withUnit(fit.off, "measured", units))}
      </span>
      <button type="button" className="btn" onClick={() => take(fit.shape)}>
        {freeMeasuresText.useIt}
      </button>
    </div>
  );
}

/** Where across the stone it is read, as shares of its length. */
const SHARES = [0.06, 0.25, 0.5, 0.75, 0.94] as const;

/** Length, and at five places across it how far the stone reaches to each side of a line laid along it. */
function Readings({ mount, shape, onDone }: Props & { readonly onDone: () => void }) {
  const units = useUnits();
  const session = useSession();
  const [texts, setTexts] = useState(() => textsOf(shape, units));
  const [problem, setProblem] = useState<string | null>(null);
  const put = (key: string, text: string) => setTexts((all) => ({ ...all, [key]: text }));
  const make = () => {
    const read = (key: string) => {
      const reading = readLength(texts[key] ?? "", units.length);
      return reading.ok && reading.value > 0 ? reading.value : null;
    };
    const values = Object.fromEntries(Object.keys(texts).map((key) => [key, read(key)]));
    const wrong = Object.entries(values).find(([, value]) => value === null);
    if (wrong) return setProblem(`"${texts[wrong[0]]}" is not a length: type one over 0, e.g. 6.4`);
    const length = values.length!;
    const readings = SHARES.map((share, i) => ({ along: share * length, up: values[`up${i}`]!, down: values[`down${i}`]! }));
    const told = session.change((piece) => {
      const stone = stoneOf(piece, mount.id);
      stone.outline = fromReadings(length, readings) as typeof stone.outline;
    }, pointsKey(mount.id));
    if (told) setProblem(told);
    else onDone();
  };
  const entry = (key: string, label: string) => (
    <input
      aria-label={label}
      inputMode="decimal"
      value={texts[key]}
      onChange={(event) => put(key, event.target.value)}
      onKeyDown={({ key, currentTarget }) => {
        if (key === "Enter" && !focusNextMeasure(currentTarget, currentTarget.closest("fieldset")!)) make();
      }}
      onFocus={(event) => event.target.select()}
      className="w-full rounded-sm border border-line bg-sheet px-1.5 py-0.5 text-right"
    />
  );
  return (
    <fieldset className="mt-2 rounded-md border border-line bg-sheet p-2">
      <legend className="px-1 text-xs text-soft">{freeMeasuresText.layALineAlongThe}</legend>
      <div className="grid grid-cols-[1fr_64px_64px] items-center gap-x-2 gap-y-1 text-sm">
        <span>{commonText.length}</span>
        {entry("length", commonText.length)}
        <span />
        <span className="text-soft">{freeMeasuresText.alongFromTheLeft}</span>
        <span className="text-right text-soft">{freeMeasuresText.up}</span>
        <span className="text-right text-soft">{freeMeasuresText.down}</span>
        {SHARES.map((share, i) => (
          <div key={share} className="contents">
            <span>{Math.round(share * 100)}%</span>
            {entry(`up${i}`, freeMeasuresText.upAt(Math.round(share * 100)))}
            {entry(`down${i}`, freeMeasuresText.downAt(Math.round(share * 100)))}
          </div>
        ))}
      </div>
      {problem && (
        <p role="alert" className="pt-1 text-xs text-bad">
          ◆ {problem}.
        </p>
      )}
      <button type="button" className="btn mt-2" onClick={make}>
        {freeMeasuresText.makeTheOutline}
      </button>
    </fieldset>
  );
}

function textsOf(shape: Free, units: Units): Record<string, string> {
  const { length, readings } = readingsOf(shape, SHARES);
  return {
    length: showLength(length, "measured", units),
    ...Object.fromEntries(
      readings.flatMap(({ up, down }, i) => [
        [`up${i}`, showLength(up, "measured", units)],
        [`down${i}`, showLength(down, "measured", units)],
      ]),
    ),
  };
}
