"use client";

import { usePathname } from "next/navigation";
import { useEffect } from "react";
import { fetchModule } from "@/ui/module";
import { loadFor } from "./lazy-screens";

/** Fetches what the address will need while the database is still being opened. */
export function Prefetch() {
  const pathname = usePathname();
  useEffect(() => {
    const load = loadFor(pathname);
    if (load) void fetchModule(load);
  }, [pathname]);
  return null;
}
