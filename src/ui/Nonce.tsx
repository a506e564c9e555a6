"use client";

import { setNonce } from "get-nonce";
import { type ReactNode, createContext, useContext } from "react";

const NonceContext = createContext("");

/** Hands the page's nonce to what adds style elements of its own. */
export function Nonce({ value, children }: { readonly value: string; readonly children: ReactNode }) {
  if (value) setNonce(value);
  return <NonceContext value={value}>{children}</NonceContext>;
}

export function useNonce(): string {
  return useContext(NonceContext);
}
