import { wasAsked } from "@/store/journal";

const SWITCH = "hoop-ledger/stand-ins";

/** Whether instruments that only stand in for real ones are offered: as the maker chose, else until there is a piece of their own. */
export function standInsOn(): boolean {
  const chosen = localStorage.getItem(SWITCH);
  return chosen === null ? !wasAsked() : chosen === "on";
}

export function switchStandIns(on: boolean): void {
  localStorage.setItem(SWITCH, on ? "on" : "off");
}
