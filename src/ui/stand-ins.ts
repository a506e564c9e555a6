import { wasAsked } from "@/store/journal";
import { isSwitchedOn, switchOnDevice } from "./device-switch";

const SWITCH = "hoop-ledger/stand-ins";

/** Whether instruments that only stand in for real ones are offered: as the maker chose, else until there is a piece of their own. */
export function standInsOn(): boolean {
  return isSwitchedOn(SWITCH, !wasAsked());
}

export function switchStandIns(on: boolean): void {
  switchOnDevice(SWITCH, on);
}
