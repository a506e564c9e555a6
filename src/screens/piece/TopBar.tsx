"use client";

import { Redo2, Undo2 } from "lucide-react";
import Link from "next/link";
import { useStore } from "zustand";
import { type Keeping } from "@/store/session";
import { useSession, useSessionState } from "@/ui/session";
import { UnitSwitch } from "@/ui/UnitSwitch";
import { useUnits } from "@/ui/tray";
import { stoneSize } from "./stages";

/** The piece's name, how it is kept, and what can be done to it. */
export function TopBar() {
  const session = useSession();
  const piece = useSessionState((state) => state.piece);
  const keeping = useSessionState((state) => state.keeping);
  const units = useUnits();
  const canUndo = useStore(session.history, ({ pastStates }) => pastStates.length > 0);
  const canRedo = useStore(session.history, ({ futureStates }) => futureStates.length > 0);
  const { stone } = piece.mounts[0]!;
  return (
    <header className="flex items-center gap-3.5 border-b border-line bg-sheet px-4 [grid-area:top]">
      <Link href="/" className="text-[15px] font-[760] tracking-[-0.01em] [font-stretch:118%]">
        Hoop<span className="text-accent">·</span>Ledger
      </Link>
      <p className="min-w-0 truncate text-soft">
        <Link href="/" className="hover:underline">
          Pieces
        </Link>{" "}
        / <b className="font-[620] text-ink">{piece.name}</b> — {[stone.material?.name, stoneSize(stone.outline, units)].filter(Boolean).join(", ")}
      </p>
      <button type="button" className="btn btn-plain" aria-label="Undo" disabled={!canUndo} onClick={session.undo}>
        <Undo2 size={15} aria-hidden="true" />
      </button>
      <button type="button" className="btn btn-plain" aria-label="Redo" disabled={!canRedo} onClick={session.redo}>
        <Redo2 size={15} aria-hidden="true" />
      </button>
      <span className="flex-1" />
      <KeepingText keeping={keeping} />
      <UnitSwitch />
    </header>
  );
}

const TROUBLE = {
  full: "Not kept: this device is full. Save a file",
  blocked: "Not kept yet: close Hoop Ledger's other windows",
  unavailable: "Not kept: this browser keeps nothing. Save a file",
  failed: "Not kept: the browser refused. Save a file",
} as const;

function KeepingText({ keeping }: { readonly keeping: Keeping }) {
  const isBad = keeping.state === "trouble" || keeping.state === "memory" || keeping.state === "elsewhere";
  return (
    <span role="status" className={`text-[12.5px] whitespace-nowrap ${isBad ? "font-semibold text-bad" : "text-soft"}`}>
      {keepingText(keeping)}
    </span>
  );
}

function keepingText(keeping: Keeping): string {
  switch (keeping.state) {
    case "kept":
      return `Kept on this device, ${new Date(keeping.at).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })}`;
    case "writing":
      return "Keeping";
    case "memory":
      return TROUBLE.unavailable;
    case "elsewhere":
      return "Changed in another window";
    case "trouble":
      return TROUBLE[keeping.trouble];
  }
}
