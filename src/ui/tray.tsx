"use client";

import { Suspense, type ReactNode, createContext, lazy, useCallback, useContext, useEffect, useState } from "react";
import { useStore } from "zustand";
import { SHIPPED } from "@/core/piece/bench";
import { openAhead } from "@/store/database";
import { type Tray } from "@/store/tray";
import { type TrayState } from "@/store/tray-state";
import { type Units } from "@/words/show";
import { IDLE_TIMEOUT, useWhenIdle } from "./idle";
import { trayText } from "@/words/ui";

/** The store is a separate chunk: loading it and opening the database both start as soon as the page script runs. */
const loadTray = () => import("@/store/tray");
if (typeof window !== "undefined") {
  openAhead();
  void loadTray();
}

const TrayContext = createContext<Tray | null>(null);

/** Opens the tray once for the page; until then its children say so. */
export function TrayProvider({ withDemo, children }: { readonly withDemo: boolean; readonly children: ReactNode }) {
  const [tray, setTray] = useState<Tray | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  useEffect(() => {
    let gone = false;
    let opened: Tray | null = null;
    const open = async () => (await loadTray()).openTray(withDemo ? demoPieces : null);
    open().then(
      (tray) => {
        opened = tray;
        if (gone) tray.close();
        else setTray(tray);
      },
      (error: unknown) => {
        console.error(error);
        if (!gone) setFailure(String(error));
      },
    );
    return () => {
      gone = true;
      opened?.close();
    };
  }, [withDemo]);
  if (failure !== null) return <NotOpened why={failure} />;
  if (!tray) return <p className="p-4 text-soft">{trayText.openingTheTray}</p>;
  return (
    <TrayContext value={tray}>
      {children}
      <TheRest tray={tray} />
    </TrayContext>
  );
}

function NotOpened({ why }: { readonly why: string }) {
  return (
    <main className="p-6">
      <h1 className="mb-2 text-lg font-bold">{trayText.theTrayCouldNotBe}</h1>
      <p className="mb-1 text-soft">{trayText.whatThisDeviceKeepsIs}</p>
      <p className="mb-4 text-soft">{why}</p>
      <button type="button" className="btn btn-main" onClick={() => window.location.reload()}>
        {trayText.tryAgain}
      </button>
    </main>
  );
}

const OwnMinutes = lazy(() => import("./OwnMinutes").then((each) => ({ default: each.OwnMinutes })));
const OwnFileWriter = lazy(() => import("./OwnFileWriter").then((each) => ({ default: each.OwnFileWriter })));

/** Reads what no screen shows at first, and learns from it how long the maker's hands take. */
function TheRest({ tray }: { readonly tray: Tray }) {
  const [isRead, setRead] = useState(false);
  const read = useCallback(async () => {
    await tray.readTheRest();
    setRead(true);
  }, [tray]);
  useWhenIdle(read, IDLE_TIMEOUT);
  return (
    <Suspense>
      {isRead && <OwnMinutes tray={tray} />}
      {isRead && <OwnFileWriter tray={tray} />}
    </Suspense>
  );
}

async function demoPieces() {
  const [{ DEMO_PIECES }, { DEMO_BENCH }] = await Promise.all([import("@demo/pieces"), import("@demo/bench")]);
  return { bench: DEMO_BENCH, pieces: DEMO_PIECES, makes: async () => (await import("@demo/makes")).demoMakes() };
}

export function useTray(): Tray {
  const tray = useContext(TrayContext);
  if (!tray) throw new Error("no tray around this screen");
  return tray;
}

export function useTrayState<T>(pick: (state: TrayState) => T): T {
  return useStore(useTray().store, pick);
}

export function useUnits(): Units {
  const units = useTrayState(({ bench }) => bench.units);
  return { length: units?.length ?? SHIPPED.units.length, temperature: units?.temperature ?? SHIPPED.units.temperature };
}
