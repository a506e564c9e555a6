"use client";

import { type ReactNode, Suspense, createContext, lazy, useCallback, useContext, useMemo, useState } from "react";

const NoticeList = lazy(() => import("./NoticeList").then(({ NoticeList }) => ({ default: NoticeList })));

export interface Notice {
  readonly id: number;
  readonly text: string;
  readonly isBad: boolean;
  readonly action: { readonly name: string; readonly run: () => void } | null;
}

interface Notices {
  /** Says something for a while; with an action it stays longer. */
  readonly say: (text: string, action?: Notice["action"]) => void;
  /** The same for what did not work. */
  readonly warn: (text: string) => void;
}

const NoticesContext = createContext<Notices>({ say: () => undefined, warn: () => undefined });

export function useNotices(): Notices {
  return useContext(NoticesContext);
}

const MOST = 3;

/** What was done, for a while, under the head of the page, where it covers no rule; read out as well. */
export function NoticesProvider({ children }: { readonly children: ReactNode }) {
  const [notices, setNotices] = useState<readonly Notice[]>([]);
  const add = useCallback(
    (text: string, isBad: boolean, action: Notice["action"]) =>
      setNotices((all) => [...all, { id: (all.at(-1)?.id ?? 0) + 1, text, isBad, action }].slice(-MOST)),
    [],
  );
  const value = useMemo<Notices>(
    () => ({ say: (text, action = null) => add(text, false, action), warn: (text) => add(text, true, null) }),
    [add],
  );
  const drop = useCallback((id: number) => setNotices((all) => all.filter((each) => each.id !== id)), []);
  return (
    <NoticesContext value={value}>
      {children}
      <Suspense>{notices.length > 0 && <NoticeList notices={notices} onDrop={drop} />}</Suspense>
    </NoticesContext>
  );
}
