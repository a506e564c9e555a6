"use client";

import { useState } from "react";
import { type Mount } from "@/core/piece/piece";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { scatterText, sideText } from "@/words/screens/trace";
import { withUnit } from "@/words/show";
import { type SideField, takeSide } from "./take-side";
import { PointMeasures } from "./PointMeasures";
import { TraceRow } from "./TraceRow";
import { type SideState } from "./side-reading";
import { type Tracing } from "./tracing";

interface Props {
  readonly mount: Mount;
  readonly tracing: Tracing;
  readonly side: SideState;
}

/** What the picture from the side says of the stone: each is taken by itself, or all at once. */
export function SideMeasures({ mount, tracing, side: { reading, problem } }: Props) {
  const session = useSession();
  const units = useUnits();
  const [taken, setTaken] = useState<{ readonly of: object | null; readonly fields: readonly SideField[] }>({ of: null, fields: [] });
  if (problem)
    return (
      <p role="alert" className="my-1.5 rounded-sm bg-bad-wash px-2 py-1 text-sm text-melt">
        ◆ {problem}.
      </p>
    );
  if (!reading) return <p className="py-1.5 text-sm text-soft">{sideText.reading}</p>;
  const { height, turnIn, dome, off } = reading;
  const before = taken.of === reading ? taken.fields : [];
  const found: readonly { readonly field: SideField; readonly text: string }[] = [
    { field: "height", text: withUnit(height, "measured", units) },
    { field: "left", text: withUnit(turnIn.left, "measured", units) },
    { field: "right", text: withUnit(turnIn.right, "measured", units) },
    ...(dome === null ? [] : [{ field: "dome" as const, text: dome.toFixed(1) }]),
  ];
  const take = (fields: readonly SideField[]) => {
    const now = [...before, ...fields];
    const told = takeSide(session, mount, reading, {
      fields,
      hasBothEnds: now.includes("left") && now.includes("right"),
      isMadeUp: tracing.picture!.isMadeUp,
    });
    tracing.tell(told);
    if (told === null) setTaken({ of: reading, fields: now });
  };
  return (
    <>
      <h2 className="section-head">{sideText.head}</h2>
      {found.map(({ field, text }) => (
        <TraceRow key={field} label={sideText.names[field]}>
          <span className="flex items-center gap-2">
            <b className="font-semibold">{text}</b>
            <button
              type="button"
              className="btn btn-small"
              aria-label={sideText.takeThe(sideText.names[field])}
              onClick={() => take([field])}
            >
              {before.includes(field) ? sideText.taken : sideText.take}
            </button>
          </span>
        </TraceRow>
      ))}
      {dome === null && <p className="text-xs text-warn">○ {sideText.tooFlat}</p>}
      <p className="text-xs text-soft">{sideText.off(scatterText(off, units))}</p>
      <PointMeasures tracing={tracing} />
      <p className="py-1 text-xs text-soft">{sideText.notAllRound}</p>
      <button type="button" className="btn btn-main w-full justify-center" onClick={() => take(found.map(({ field }) => field))}>
        {sideText.takeAll}
      </button>
    </>
  );
}
