"use client";

import { type ComponentType } from "react";
import { useModule } from "@/ui/module";
import { SCREENS, type ScreenAddress } from "./lazy-screens";

/** The screen of an address, once it is fetched. */
export function ScreenAt({ address }: { readonly address: ScreenAddress }) {
  const page = useModule<{ readonly Screen: ComponentType }>(SCREENS[address]);
  return page && <page.Screen />;
}
