"use client";

import { createContext, useContext } from "react";
import { useStore } from "zustand";
import { type Session, type SessionState } from "@/store/session";

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
