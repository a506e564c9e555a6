"use client";

import { useEffect } from "react";
import { useStore } from "zustand";
import { type Tray } from "@/store/tray";
import { finishedOf } from "@/store/tray-state";
import { recallFile } from "./own-file";

/** Writes the maker's own file each time that a make is ended, wherever they are. */
export function OwnFileWriter({ tray }: { readonly tray: Tray }) {
  const makes = useStore(tray.store, (state) => state.makes);
  const finished = finishedOf(makes).sort().join();
  useEffect(() => void recallFile(tray, finished.split(",")), [finished, tray]);
  return null;
}
