"use client";

import { Plus, Trash2 } from "lucide-react";
import { freeBeside, sideBySide } from "@/core/hoop/placing";
import { toMicron, toTwentieth } from "@/core/measure/micron";
import { hoopIn } from "@/core/piece/plan";
import { usePlan } from "@/ui/plan";
import { useUnits } from "@/ui/tray";
import { withUnit } from "@/words/show";
import { useSession, useSessionState } from "@/ui/session";
import { namesIn } from "@/words/names";
import { calledIn } from "@/words/settings";
import { MOST_SETTINGS, addSetting, placeSettings, removeSetting } from "./settings-edit";
import { settingsListText } from "@/words/screens/settings";

/** Room left between a setting and one that is added beside it (mm). */
const BESIDE = 0.6;

/** The settings that a carrier carries: one more beside the one that is shown, or that one taken away. */
export function SettingsList({ mount }: { readonly mount: string }) {
  const session = useSession();
  const mounts = useSessionState(({ piece }) => piece.mounts);
  const carried = mounts.filter(({ on }) => on === undefined);
  const plan = usePlan();
  const units = useUnits();
  const names = namesIn(plan);
  const hoop = hoopIn(plan)?.drawn;
  const seats = hoop && carried.map(({ id }) => hoop.seats[id]!);
  const { host } = plan.drawing.settings[mount]!;
  const seat = hoop?.seats[host];
  const next =
    hoop && seats && seat
      ? toTwentieth(
          freeBeside(
            hoop.outside,
            seats.map((each) => ({ ...each, along: each.angle * hoop.outside })),
            seat,
            BESIDE,
          ),
        )
      : 0;
  const layOut = (gap: number, isEven: boolean) =>
    hoop && seats && session.change((piece) => placeSettings(piece, sideBySide(hoop.outside, seats, gap, isEven).map(toMicron)));
  return (
    <>
      <h2 className="section-head">{settingsListText.settingsOfThisPiece}</h2>
      <ul className="text-sm">
        {mounts.map((each) => (
          <li key={each.id} className="flex items-center justify-between border-t border-hair py-1">
            <span className={each.id === mount ? "font-semibold" : "text-soft"}>{calledIn(mounts, each)}</span>
            {mounts.length > 1 && (
              <button
                type="button"
                className="btn !px-1.5"
                aria-label={settingsListText.remove(names.setting(each.id))}
                onClick={() => session.change((piece) => removeSetting(piece, each.id))}
              >
                <Trash2 size={14} aria-hidden="true" />
              </button>
            )}
          </li>
        ))}
      </ul>
      {hoop && carried.length > 1 && (
        <div role="group" aria-label={settingsListText.sideBySide} className="flex flex-wrap items-center gap-1.5 py-1 text-sm">
          <span className="text-soft">{settingsListText.sideBySide}</span>
          <button type="button" className="btn btn-small" onClick={() => layOut(0, false)}>
            {settingsListText.touching}
          </button>
          <button type="button" className="btn btn-small" onClick={() => layOut(BESIDE, false)}>
            {settingsListText.apart(withUnit(BESIDE, "measured", units))}
          </button>
          <button type="button" className="btn btn-small" onClick={() => layOut(BESIDE, true)}>
            {settingsListText.even}
          </button>
        </div>
      )}
      {mounts.length < MOST_SETTINGS && (
        <button type="button" className="btn my-1" onClick={() => session.change((piece) => void addSetting(piece, host, next))}>
          <Plus size={14} aria-hidden="true" /> {settingsListText.addASetting}
        </button>
      )}
    </>
  );
}
