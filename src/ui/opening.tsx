"use client";

import { type DragEvent, type ReactNode, Suspense, createContext, lazy, useCallback, useContext, useMemo, useRef, useState } from "react";
import { type Opened } from "@/store/files";
import { useTray } from "./tray";

const OpenedDialog = lazy(() => import("./OpenedDialog").then(({ OpenedDialog }) => ({ default: OpenedDialog })));

interface Opening {
  /** Lets the maker pick a file. */
  readonly pick: () => void;
}

const OpeningContext = createContext<Opening>({ pick: () => undefined });

export function useOpening(): Opening {
  return useContext(OpeningContext);
}

/** Takes files that are picked, or dropped anywhere, and asks what must be asked before anything is changed. */
export function OpeningProvider({ children }: { readonly children: ReactNode }) {
  const tray = useTray();
  const input = useRef<HTMLInputElement>(null);
  const [opened, setOpened] = useState<Opened | null>(null);
  const take = useCallback(
    async (file: File | undefined) => {
      if (!file) return;
      const { openText } = await import("@/store/files");
      const [text, ids] = await Promise.all([file.text(), tray.allIds()]);
      setOpened(openText(file.name, text, tray.store.getState().bench, ids));
    },
    [tray],
  );
  const value = useMemo(() => ({ pick: () => input.current?.click() }), []);
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    void take(event.dataTransfer.files[0]);
  };
  return (
    <OpeningContext value={value}>
      <div onDragOver={(event) => event.preventDefault()} onDrop={onDrop}>
        <input
          ref={input}
          type="file"
          accept=".json,application/json"
          aria-label="Open a file"
          className="hidden"
          onChange={(event) => {
            void take(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
        {children}
      </div>
      {opened && (
        <Suspense>
          <OpenedDialog key={opened.file} opened={opened} onClose={() => setOpened(null)} />
        </Suspense>
      )}
    </OpeningContext>
  );
}
