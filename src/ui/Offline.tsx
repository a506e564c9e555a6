"use client";

import { Suspense, lazy, useCallback, useEffect, useState } from "react";
import { IDLE_TIMEOUT, useWhenIdle } from "./idle";
import { hearInstallOffers } from "./offline";

const NewerVersion = lazy(() => import("./NewerVersion").then((each) => ({ default: each.NewerVersion })));

/** Gets the program ready to work without its server, once the page has come to rest. */
export function Offline() {
  const [isBegun, begin] = useState(false);
  useEffect(hearInstallOffers, []);
  useWhenIdle(
    useCallback(() => begin(true), []),
    IDLE_TIMEOUT,
  );
  return <Suspense>{isBegun && <NewerVersion />}</Suspense>;
}
