import { type CutRecord, cutBetween, drawerBefore } from "@/core/cutting/cut-record";
import { type DrawerAfter } from "@/core/cutting/drawer-after";
import { newId } from "./ids";
import { type benchOn } from "./my-bench";
import { cutChange } from "./restoring";
import { type TrayBase, now } from "./tray-state";

/** What was cut from the drawer, kept so that it can be put back later. */
export function cutsOn({ repository, store, reading, noteUnreadable }: TrayBase, { changeBench }: ReturnType<typeof benchOn>) {
  async function readCuts(): Promise<void> {
    const found = await reading(() => repository.cuts());
    if (!found) return;
    noteUnreadable("cuts", found.unreadable);
    const cuts = found.records.map(({ cut }) => cut).sort((a, b) => (a.at < b.at ? 1 : -1));
    store.setState({ cuts });
  }

  return {
    readCuts,

    /** Takes a cut from the drawer, and keeps what it changed. Returns why it cannot be, or what was kept. */
    async takeCut(before: DrawerAfter, after: DrawerAfter, of: Pick<CutRecord, "make" | "figure"> = {}): Promise<CutRecord | string> {
      const cut = cutBetween(before, after, { id: newId(), at: now(), ...of });
      return (await changeBench((bench) => Object.assign(bench, after), [cutChange(cut)])) ?? cut;
    },

    /** Puts a cut back, and forgets it. Returns why it cannot be: "changed" where what it left is not there any more as it was; or null. */
    async putCutBack(cut: CutRecord): Promise<string | null> {
      const { stock = [], scrap = [] } = store.getState().bench;
      const drawer = drawerBefore({ stock, scrap }, cut);
      if (!drawer) return "changed";
      return changeBench((bench) => Object.assign(bench, drawer), [{ store: "cuts", remove: cut.id }]);
    },
  };
}
