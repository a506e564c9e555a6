"use client";

import { createContext, useContext, useState } from "react";
import { useStore } from "zustand";
import { type Session } from "@/store/session";
import { type SessionState } from "@/store/session-state";

const SessionContext = createContext<Session | null>(null);

export const SessionProvider = SessionContext;

export function useSession(): Session {
  const session = useContext(SessionContext);
  if (!session) throw new Error("no piece is open around this screen");
  return session;
}

export function useSessionState<T>(pick: (state: SessionState) => T): T {
  return useStore(useSession().store, pick);
}

/** A value as it was when a drag began, for as long as it lasts: a frame that followed the drag would run away from the pointer. */
export function useWhileHeld<T>(value: T): T {
  const isHeld = useSessionState((state) => state.isHeld);
  const [kept, keep] = useState<{ readonly value: T } | null>(null);
  if (isHeld && kept === null) keep({ value });
  if (!isHeld && kept !== null) keep(null);
  return isHeld && kept !== null ? kept.value : value;
}
