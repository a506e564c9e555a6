import { type ComponentType } from "react";

/** What home, an open piece and My bench are made of, apart from their frame: it is fetched while the database is being opened. */
export const loadLedger = () => import("./tray/ledger");
export const loadDefaults = () => import("./my-bench/Defaults");
export const loadOpenPiece = () => import("./piece/OpenPiece");

/** Screens that are fetched whole, by their addresses. */
export const SCREENS = {
  "/cards": () => import("./card/CardsScreen").then(({ CardsScreen }) => ({ Screen: CardsScreen })),
  "/day": () => import("./day/DayScreen").then(({ DayScreen }) => ({ Screen: DayScreen })),
  "/ledger": () => import("./ledger/LedgerScreen").then(({ LedgerScreen }) => ({ Screen: LedgerScreen })),
  "/metal": () => import("./metal/MetalScreen").then(({ MetalScreen }) => ({ Screen: MetalScreen })),
  "/practice": () => import("./practice/LessonsScreen").then(({ LessonsScreen }) => ({ Screen: LessonsScreen })),
  "/sums": () => import("./sums/SumsScreen").then(({ SumsScreen }) => ({ Screen: SumsScreen })),
} satisfies Readonly<Record<string, () => Promise<{ readonly Screen: ComponentType }>>>;

export type ScreenAddress = keyof typeof SCREENS;

/** What an address needs beside its page; null for one that needs nothing. */
export function loadFor(pathname: string): (() => Promise<unknown>) | null {
  if (pathname === "/") return loadLedger;
  if (pathname === "/my-bench") return loadDefaults;
  if (pathname.startsWith("/pieces/")) return loadOpenPiece;
  return pathname in SCREENS ? SCREENS[pathname as ScreenAddress] : null;
}
