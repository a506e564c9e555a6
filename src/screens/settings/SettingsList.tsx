"use client";

import { Plus, Trash2 } from "lucide-react";
import { hoopIn } from "@/core/piece/plan";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { namesIn } from "@/words/names";
import { calledIn } from "@/words/settings";
import { addSetting, removeSetting } from "./settings-edit";

/** Room left between a setting and one that is added beside it (mm). */
const BESIDE = 0.6;

/** The settings that a carrier carries: one more beside the one that is shown, or that one taken away. */
export function SettingsList({ mount }: { readonly mount: string }) {
  const session = useSession();
  const mounts = useSessionState(({ piece }) => piece.mounts);
  const plan = usePlan();
  const names = namesIn(plan);
  const hoop = hoopIn(plan)?.drawn;
  const seat = hoop?.seats[mount];
  const next = hoop && seat ? Math.round((seat.angle * hoop.outside + (seat.covers * Math.PI * hoop.outside) / 180 + BESIDE) * 10) / 10 : 0;
  return (
    <>
      <h2 className="section-head">Settings</h2>
      <ul className="text-[13px]">
        {mounts.map((each) => (
          <li key={each.id} className="flex items-center justify-between border-t border-hair py-[3px]">
            <span className={each.id === mount ? "font-semibold" : "text-soft"}>{calledIn(mounts, each)}</span>
            {mounts.length > 1 && (
              <button
                type="button"
                className="btn !px-1.5"
                aria-label={`Take ${names.setting(each.id)} away`}
                onClick={() => session.change((piece) => removeSetting(piece, each.id))}
              >
                <Trash2 size={14} aria-hidden="true" />
              </button>
            )}
          </li>
        ))}
      </ul>
      {mounts.length < MOST && (
        <button type="button" className="btn my-1" onClick={() => session.change((piece) => void addSetting(piece, mount, next))}>
          <Plus size={14} aria-hidden="true" /> Add a setting
        </button>
      )}
    </>
  );
}

/** As many as a piece carries. */
const MOST = 12;
