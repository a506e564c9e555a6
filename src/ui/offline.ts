import { useSyncExternalStore } from "react";

/** Where the program stands with being used without its server. */
export interface Offline {
  /** `insecure`: a browser allows it on a secure address alone. `none`: it cannot, or will not now. */
  readonly state: "insecure" | "none" | "fetching" | "ready";
  /** A newer build that waits to be used, or was taken by another window. */
  readonly newer: "waiting" | "taken" | null;
}

/** A browser's offer to put the program on the device. */
interface InstallOffer extends Event {
  prompt(): Promise<unknown>;
}

const UNKNOWN: Offline = { state: "none", newer: null };
let now: Offline = UNKNOWN;
let offer: InstallOffer | null = null;
let isAsked = false;
const listeners = new Set<() => void>();

function set(change: Partial<Offline>): void {
  now = { ...now, ...change };
  tell();
}

function tell(): void {
  listeners.forEach((hear) => hear());
}

function hear(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function useOffline(): Offline {
  return useSyncExternalStore(
    hear,
    () => now,
    () => UNKNOWN,
  );
}

/** Whether the browser offers to put the program on the device. */
export function useCanInstall(): boolean {
  return useSyncExternalStore(
    hear,
    () => offer !== null,
    () => false,
  );
}

/** Keeps the browser's offer until the maker asks for it. */
export function hearInstallOffers(): () => void {
  const keep = (event: Event) => {
    event.preventDefault();
    offer = event as InstallOffer;
    tell();
  };
  const drop = () => {
    offer = null;
    tell();
  };
  addEventListener("beforeinstallprompt", keep);
  addEventListener("appinstalled", drop);
  return () => {
    removeEventListener("beforeinstallprompt", keep);
    removeEventListener("appinstalled", drop);
  };
}

export async function install(): Promise<void> {
  const asked = offer;
  offer = null;
  tell();
  await asked?.prompt();
}

/** Has the build cached beside the page, and looks for newer ones. What fails is looked for again when the page is next opened. */
export async function startOffline(): Promise<void> {
  if (!("serviceWorker" in navigator)) return set({ state: window.isSecureContext ? "none" : "insecure" });
  const { serviceWorker } = navigator;
  const wasControlled = serviceWorker.controller !== null;
  set({ state: wasControlled ? "ready" : "fetching" });
  try {
    const registration = await serviceWorker.register("/sw.js");
    serviceWorker.addEventListener("controllerchange", () => {
      if (isAsked) window.location.reload();
      else if (wasControlled) set({ newer: "taken" });
    });
    const look = () => set({ newer: registration.waiting && serviceWorker.controller ? "waiting" : now.newer });
    registration.addEventListener("updatefound", () => registration.installing?.addEventListener("statechange", look));
    look();
    await serviceWorker.ready;
    set({ state: "ready" });
  } catch (error) {
    console.warn("not ready to work without the server", error);
    set({ state: wasControlled ? "ready" : "none" });
  }
}

/** Uses the newer build: it takes over, and this page is loaded anew from it. */
export async function takeNewer(): Promise<void> {
  const registration = await navigator.serviceWorker.getRegistration();
  if (now.newer === "taken" || !registration?.waiting) return window.location.reload();
  isAsked = true;
  registration.waiting.postMessage("use");
}
