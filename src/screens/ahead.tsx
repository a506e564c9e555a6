"use client";

import { usePathname } from "next/navigation";
import { useEffect } from "react";

/** Fetches what the address will need while the database is still being opened. */
export function Ahead() {
  const pathname = usePathname();
  useEffect(() => {
    if (pathname === "/") void import("./tray/ledger");
    else if (pathname.startsWith("/pieces/")) void import("./piece/OpenPiece");
  }, [pathname]);
  return null;
}
