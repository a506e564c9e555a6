"use client";

import { toHundredth } from "@/core/measure/micron";
import { X } from "lucide-react";
import { type Mount } from "@/core/piece/piece";
import { turnInProfile, widestGap } from "@/core/stone/profile";
import { MeasureField } from "@/ui/MeasureField";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { profileField, stoneOf } from "./fields";
import { profileMeasuresText } from "@/words/screens/stone";

/** Whether the side leans in at one height or at several round the stone, and those. */
export function ProfileMeasures({ mount }: { readonly mount: Mount }) {
  const session = useSession();
  const units = useUnits();
  const { turnIn } = mount.stone;
  const put = (next: Mount["stone"]["turnIn"]) =>
    session.change((piece) => {
      const stone = stoneOf(piece, mount.id);
      stone.turnIn = next as typeof stone.turnIn;
    });
  if (typeof turnIn === "number") {
    return (
      <button type="button" className="btn mt-1 mb-1.5" onClick={() => put([0, 0.25, 0.5, 0.75].map((at) => ({ at, height: turnIn })))}>
        {profileMeasuresText.itVariesRoundTheStone}
      </button>
    );
  }
  const add = () => {
    const at = widestGap(turnIn.map((each) => each.at));
    put([...turnIn, { at, height: toHundredth(turnInProfile(mount.stone)(at)) }].sort((a, b) => a.at - b.at));
  };
  return (
    <>
      {turnIn.map(({ at, height }, i) => (
        <div key={i} className="grid grid-cols-[minmax(0,1fr)_24px] items-center gap-x-1 max-lg:grid-cols-[minmax(0,1fr)_44px]">
          <MeasureField
            field={profileField(mount.id, i, units)}
            label={profileMeasuresText.atOfTheWayRound(Math.round(at * 100))}
            value={height}
            lights={`turnIn.${i}`}
          />
          {turnIn.length > 1 && (
            <button
              type="button"
              className="btn btn-plain btn-small"
              aria-label={profileMeasuresText.leaveOutTheHeightAt(Math.round(at * 100))}
              onClick={() => put(turnIn.filter((_, other) => other !== i))}
            >
              <X size={14} aria-hidden="true" />
            </button>
          )}
        </div>
      ))}
      <div className="mt-1 mb-2 flex gap-1.5">
        <button type="button" className="btn" onClick={add}>
          {profileMeasuresText.addAHeight}
        </button>
        <button type="button" className="btn" onClick={() => put(Math.max(...turnIn.map((each) => each.height)))}>
          {profileMeasuresText.sameAllRound}
        </button>
      </div>
    </>
  );
}
