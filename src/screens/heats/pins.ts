import { type Draft as Editable } from "immer";
import { type PinEntry } from "@/core/heats/problem";
import { FUSE } from "@/core/heats/thermal";
import { type Piece } from "@/core/piece/piece";
import { gradeName, jointName, partName } from "@/words/names";

/** What a joint is pinned to: a grade's id, "fuse", or "free". */
export function pinnedTo(pins: readonly PinEntry[], joint: string): string {
  const pin = pins.find((each) => "joint" in each && each.joint === joint);
  if (!pin) return "free";
  return "grade" in pin ? pin.grade : "means" in pin && pin.means === "fuse" ? FUSE : "free";
}

/** Pins a joint to a grade or to fusing, or lets it free. */
export function pinTo(piece: Editable<Piece>, joint: string, to: string): void {
  setPins(piece, (pins) => [
    ...pins.filter((pin) => !("joint" in pin && pin.joint === joint)),
    ...(to === "free" ? [] : [to === FUSE ? { joint, means: "fuse" as const } : { joint, grade: to }]),
  ]);
}

export function addPin(piece: Editable<Piece>, pin: PinEntry): void {
  setPins(piece, (pins) => [...pins.filter((other) => JSON.stringify(other) !== JSON.stringify(pin)), pin]);
}

export function removePin(piece: Editable<Piece>, index: number): void {
  setPins(piece, (pins) => pins.filter((_, i) => i !== index));
}

function setPins(piece: Editable<Piece>, change: (pins: readonly PinEntry[]) => readonly PinEntry[]): void {
  piece.heats = { ...piece.heats, pins: change(piece.heats?.pins ?? []) as Editable<PinEntry>[] };
}

type Means = Extract<PinEntry, { readonly means: unknown }>["means"];

const MEANS: Readonly<Record<Means, string>> = {
  fuse: "fused",
  solder: "soldered",
  inside: "solder inside",
  outside: "solder outside",
  under: "solder under it",
  sweat: "sweat soldered",
  wire: "by wire",
  paste: "by paste",
  cold: "made cold",
};

/** A pin as it is said. */
export function pinText(pin: PinEntry): string {
  if ("grade" in pin) return `${jointName(pin.joint)}: ${gradeName(pin.grade)}`;
  if ("means" in pin) return `${jointName(pin.joint)}: ${MEANS[pin.means]}`;
  if ("before" in pin) return `${jointName(pin.before[0])} before ${jointName(pin.before[1])}`;
  if ("together" in pin) return `${jointName(pin.together[0])} and ${jointName(pin.together[1])} in one heat`;
  if ("add" in pin) return `a joint more: ${pin.add.parts.map(partName).join(" to ")}`;
  if ("leave" in pin) return `${jointName(pin.leave)} left out`;
  if ("shield" in pin) return `${jointName(pin.shield)} shielded`;
  return `${jointName(pin.forbid[0])} never ${gradeName(pin.forbid[1])}`;
}
