import { type Draft as Editable } from "immer";
import { type PinEntry } from "@/core/heats/pins";
import { type Piece } from "@/core/piece/piece";
import { MEANS_NAMES } from "@/words/heats";
import { type Names, gradeName } from "@/words/names";

/** What a joint can be pinned to; null lets it free. */
export type PinnedTo = { readonly grade: string } | { readonly means: "fuse" } | null;

export function pinnedTo(pins: readonly PinEntry[], joint: string): PinnedTo {
  const pin = pins.find((each) => "joint" in each && each.joint === joint);
  if (!pin) return null;
  if ("grade" in pin) return { grade: pin.grade };
  return "means" in pin && pin.means === "fuse" ? { means: pin.means } : null;
}

/** As the value of an option, which is a text. */
export function optionOf(to: PinnedTo): string {
  if (to === null) return "free";
  return "grade" in to ? `grade ${to.grade}` : to.means;
}

/** Pins a joint to a grade or to fusing, or lets it free. */
export function pinTo(piece: Editable<Piece>, joint: string, to: PinnedTo): void {
  setPins(piece, (pins) => [...pins.filter((pin) => !("joint" in pin && pin.joint === joint)), ...(to === null ? [] : [{ joint, ...to }])]);
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

/** A pin as it is said. */
export function pinText(pin: PinEntry, { joint, part }: Names): string {
  if ("grade" in pin) return `${joint(pin.joint)}: ${gradeName(pin.grade)}`;
  if ("means" in pin) return `${joint(pin.joint)}: ${MEANS_NAMES[pin.means]}`;
  if ("before" in pin) return `${joint(pin.before[0])} before ${joint(pin.before[1])}`;
  if ("together" in pin) return `${joint(pin.together[0])} and ${joint(pin.together[1])} in one heat`;
  if ("add" in pin) return `a joint more: ${pin.add.parts.map(part).join(" to ")}`;
  if ("leave" in pin) return `${joint(pin.leave)} left out`;
  if ("shield" in pin) return `${joint(pin.shield)} shielded`;
  return `${joint(pin.forbid[0])} never ${gradeName(pin.forbid[1])}`;
}
