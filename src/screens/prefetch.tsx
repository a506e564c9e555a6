"use client";

import { usePathname } from "next/navigation";
import { useEffect } from "react";
import { fetchModule } from "@/ui/module";
import { loadDefaults, loadLedger, loadOpenPiece } from "./lazy-screens";

/** Fetches what the address will need while the database is still being opened. */
export function Prefetch() {
  const pathname = usePathname();
  useEffect(() => {
    if (pathname === "/") void fetchModule(loadLedger);
    else if (pathname === "/my-bench") void fetchModule(loadDefaults);
    else if (pathname.startsWith("/pieces/")) void fetchModule(loadOpenPiece);
  }, [pathname]);
  return null;
}
