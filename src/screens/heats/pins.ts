import { type Draft as Editable } from "immer";
import { type PinEntry, type PinnedMeans } from "@/core/heats/pins";
import { type Piece } from "@/core/piece/piece";
import { pinsText } from "@/words/screens/heats";

/** What a joint can be pinned to; null lets it free. */
export type PinnedTo = { readonly grade: string } | { readonly means: "fuse" } | null;

export function pinnedTo(pins: readonly PinEntry[], joint: string): PinnedTo {
  const pin = pins.find((each) => isFlame(each) && each.joint === joint);
  if (!pin) return null;
  return "grade" in pin ? { grade: pin.grade } : { means: "fuse" };
}

/** Whether it says what a joint is made with: a grade, or fusing. */
function isFlame(pin: PinEntry): pin is Extract<PinEntry, { readonly joint: string }> {
  return "grade" in pin || ("means" in pin && pin.means === "fuse");
}

/** As the value of an option, which is a text. */
export function optionOf(to: PinnedTo): string {
  if (to === null) return "free";
  return "grade" in to ? pinsText.grade(to.grade) : to.means;
}

/** Pins a joint to a grade or to fusing, or lets it free. Where its solder goes stays as it was wished, but for one that is fused. */
export function pinTo(piece: Editable<Piece>, joint: string, to: PinnedTo): void {
  const isFused = to !== null && "means" in to;
  setPins(piece, (pins) => [
    ...pins.filter((pin) => !("joint" in pin && pin.joint === joint && (isFlame(pin) || isFused))),
    ...(to === null ? [] : [{ joint, ...to }]),
  ]);
}

/** How a joint is wished to be made; null leaves it as is usual. Made cold it has no grade, and what is soldered is not fused. */
export function putMeans(piece: Editable<Piece>, joint: string, means: PinnedMeans | null): void {
  setPins(piece, (pins) => [
    ...pins.filter((pin) => !("joint" in pin && pin.joint === joint && ("means" in pin || means === "cold"))),
    ...(means === null ? [] : [{ joint, means }]),
  ]);
}

export function addPin(piece: Editable<Piece>, pin: PinEntry): void {
  setPins(piece, (pins) => [...pins.filter((other) => JSON.stringify(other) !== JSON.stringify(pin)), pin]);
}

/** Leaves a joint out, with what else was wished of it; one of the maker's own is not there any more. */
export function leaveOut(piece: Editable<Piece>, joint: string): void {
  const own = (piece.heats?.pins ?? []).some((pin) => "add" in pin && pin.add.id === joint);
  setPins(piece, (pins) => [...pins.filter((pin) => !speaksOf(pin, joint)), ...(own ? [] : [{ leave: joint }])]);
}

function speaksOf(pin: PinEntry, joint: string): boolean {
  if ("joint" in pin) return pin.joint === joint;
  if ("before" in pin) return pin.before.includes(joint);
  if ("together" in pin) return pin.together.includes(joint);
  if ("shield" in pin) return pin.shield === joint;
  return "forbid" in pin ? pin.forbid[0] === joint : "add" in pin && pin.add.id === joint;
}

/** Something that was moved: joints that are made before, or in one heat with, others. */
export interface Moved {
  readonly joints: readonly string[];
  readonly where: "before" | "after" | "with";
  readonly others: readonly string[];
}

/** The wishes that a move sets, in place of those between the same joints that it undoes. */
export function movePins(piece: Editable<Piece>, { joints, where, others }: Moved): void {
  const [first, then] = where === "after" ? [others, joints] : [joints, others];
  const pairs = first.flatMap((a) => then.map((b) => [a, b] as const));
  const isBetween = (pair: readonly [string, string]) => pairs.some(([a, b]) => pair.includes(a) && pair.includes(b));
  const added =
    where === "with" ? pairs.slice(0, 1).map((together): PinEntry => ({ together })) : pairs.map((before): PinEntry => ({ before }));
  setPins(piece, (pins) => [
    ...pins.filter((pin) => !("before" in pin && isBetween(pin.before)) && !("together" in pin && isBetween(pin.together))),
    ...added,
  ]);
}

/** The first name for a joint of one's own that is free. */
export function freeJointId(joints: readonly { readonly id: string }[]): string {
  for (let i = 1; ; i++) if (!joints.some(({ id }) => id === `own-${i}`)) return `own-${i}`;
}

export function removePin(piece: Editable<Piece>, index: number): void {
  setPins(piece, (pins) => pins.filter((_, i) => i !== index));
}

function setPins(piece: Editable<Piece>, change: (pins: readonly PinEntry[]) => readonly PinEntry[]): void {
  piece.heats = { ...piece.heats, pins: change(piece.heats?.pins ?? []) as Editable<PinEntry>[] };
}
