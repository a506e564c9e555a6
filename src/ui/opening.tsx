"use client";

import {
  type DragEvent,
  type ReactNode,
  Suspense,
  createContext,
  lazy,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
} from "react";
import { fault } from "@/core/piece/fault";
import { type Tray } from "@/store/tray";
import { type Watch } from "@/workers/files/client";
import { type Opened } from "@/workers/files/protocol";
import { useTray } from "./tray";
import { openingText } from "@/words/ui";

const OpenedDialog = lazy(() => import("./OpenedDialog").then(({ OpenedDialog }) => ({ default: OpenedDialog })));
const ProgressDialog = lazy(() => import("./ProgressDialog").then(({ ProgressDialog }) => ({ default: ProgressDialog })));

interface Opening {
  /** Lets the maker pick a file. */
  readonly pick: () => void;
  readonly take: (file: File) => void;
}

const OpeningContext = createContext<Opening>({ pick: () => undefined, take: () => undefined });

export function useOpening(): Opening {
  return useContext(OpeningContext);
}

/** Files larger than this take long enough to be watched (bytes). */
const WATCHED = 1_000_000;

interface Reading {
  readonly file: string;
  readonly share: number;
  readonly stop: () => void;
}

/** What a file holds, or why it is refused; null once its reading is ended. */
async function openedFrom(file: File, tray: Tray, watch: Watch): Promise<Opened | null> {
  try {
    const { readFile } = await import("@/workers/files/client");
    const [bytes, taken] = await Promise.all([file.arrayBuffer(), tray.allIds()]);
    return await readFile({ file: file.name, bytes: new Uint8Array(bytes), bench: tray.store.getState().bench, taken }, watch);
  } catch (error) {
    return { kind: "refused", file: file.name, faults: [fault("", "not-worked-out", { why: String(error) })] };
  }
}

/** Files that the system opens with the program, where it is put on the device. */
interface LaunchQueue {
  setConsumer(take: (launch: { readonly files: readonly FileSystemFileHandle[] }) => void): void;
}

/** Takes the file that the program was opened with. */
function useLaunchedWith(take: (file: File) => void): void {
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  useEffect(() => {
    const { launchQueue } = window as { readonly launchQueue?: LaunchQueue };
    launchQueue?.setConsumer(({ files }) => void files[0]?.getFile().then((file) => latest.current(file)));
  }, []);
}

/** Takes files that are picked, or dropped anywhere, and asks what must be asked before anything is changed. */
export function OpeningProvider({ children }: { readonly children: ReactNode }) {
  const tray = useTray();
  const input = useRef<HTMLInputElement>(null);
  const [opened, setOpened] = useState<Opened | null>(null);
  const [reading, setReading] = useState<Reading | null>(null);
  const take = useCallback(
    (file: File | undefined) => {
      if (!file) return;
      const stopping = new AbortController();
      const show = (share: number) => file.size > WATCHED && setReading({ file: file.name, share, stop: () => stopping.abort() });
      show(0);
      void openedFrom(file, tray, { onProgress: (done, of) => show(done / of), signal: stopping.signal })
        .then(setOpened)
        .finally(() => setReading(null));
    },
    [tray],
  );
  useLaunchedWith(take);
  const value = useMemo(() => ({ pick: () => input.current?.click(), take }), [take]);
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    take(event.dataTransfer.files[0]);
  };
  return (
    <OpeningContext value={value}>
      <div onDragOver={(event) => event.preventDefault()} onDrop={onDrop}>
        <input
          ref={input}
          type="file"
          accept=".json,application/json,.csv,text/csv,.txt,text/plain"
          aria-label={openingText.openAFile}
          className="hidden"
          onChange={(event) => {
            take(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
        {children}
      </div>
      <Suspense>
        {reading && <ProgressDialog title={openingText.reading(reading.file)} share={reading.share} onStop={reading.stop} />}
        {opened && <OpenedDialog key={opened.file} opened={opened} onClose={() => setOpened(null)} />}
      </Suspense>
    </OpeningContext>
  );
}
