import { useEffect, useState } from "react";
import { type CuttingWay } from "@/core/cutting/cutting-way";
import { type Form } from "@/core/cutting/match";
import { type Pin } from "@/core/cutting/pin";
import { METALS } from "@/core/metal/metals";
import { WAY_NAMES } from "@/words/cuts";
import { keepOnDevice } from "@/ui/device-switch";
import { useNotices } from "@/ui/notices";
import { metalText } from "@/words/screens/metal";

/** How the maker wants the cuts laid, kept on this device. */
export interface CutChoices {
  readonly way: CuttingWay;
  readonly pins: readonly Pin[];
}

const KEY = "hoop-ledger/cut-choices";
const USUAL: CutChoices = { way: "spoil", pins: [] };

/** The choices, and what changes some of them. They are kept over a reload, and are the same in every window. */
export function useCutChoices(): readonly [CutChoices, (next: Partial<CutChoices>) => void] {
  const { warn } = useNotices();
  const [kept, keep] = useState(keptCutChoices);
  const [choices, setChoices] = useState(kept);
  useEffect(() => {
    if (choices !== kept && !keepOnDevice(KEY, JSON.stringify(choices))) warn(metalText.notKept);
  }, [choices, kept, warn]);
  useEffect(() => {
    const onStorage = ({ key }: StorageEvent) => {
      if (key !== KEY) return;
      const others = keptCutChoices();
      keep(others);
      setChoices(others);
    };
    window.addEventListener("storage", onStorage);
    return () => window.removeEventListener("storage", onStorage);
  }, []);
  return [choices, (next) => setChoices((now) => ({ ...now, ...next }))];
}

function keptCutChoices(): CutChoices {
  return cutChoicesFrom(localStorage.getItem(KEY));
}

/** What was kept; nothing of what cannot be read. */
export function cutChoicesFrom(text: string | null): CutChoices {
  const kept = text === null ? null : parsed(text);
  if (!isRecord(kept)) return USUAL;
  const { way, pins } = kept;
  return {
    way: typeof way === "string" && Object.hasOwn(WAY_NAMES, way) ? (way as CuttingWay) : USUAL.way,
    pins: Array.isArray(pins) ? pins.filter(isPin) : [],
  };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === "object" && value !== null;
}

function isPin(value: unknown): value is Pin {
  if (!isRecord(value)) return false;
  const { blank, from, item, at } = value;
  const isAt = at === null || (isRecord(at) && [at.x, at.y, at.turn].every(Number.isFinite));
  return typeof blank === "string" && (typeof from === "string" || isForm(from)) && Number.isInteger(item) && Number(item) >= 1 && isAt;
}

/** Sides of each form of metal. */
const SIDES = { strip: ["width", "thickness"], wire: ["width", "thickness"], sheet: ["thickness"], tube: ["outside", "inside"] } as const;

function isForm(value: unknown): value is Form {
  if (!isRecord(value) || !isRecord(value.stock) || !Object.hasOwn(METALS, String(value.metal))) return false;
  const { stock } = value;
  const sides = Object.entries(SIDES).find(([form]) => form === stock.form)?.[1];
  return sides?.every((side) => Number.isFinite(stock[side])) ?? false;
}
