import { type Placing } from "../joint/placing";

/** Something that a maker wishes of the heats, as a piece's file has it. */
export type PinEntry =
  | { readonly joint: string; readonly grade: string }
  | { readonly joint: string; readonly means: PinnedMeans }
  | { readonly before: readonly [string, string] }
  | { readonly together: readonly [string, string] }
  | { readonly shield: string }
  | { readonly forbid: readonly [joint: string, grade: string] }
  | { readonly add: AddedJoint }
  | { readonly leave: string };

/** "solder" leaves it open where the solder goes. */
export type PinnedMeans = Placing | "fuse" | "solder" | "cold";

/** A joint of the maker's own between two parts, or of one on itself. */
export interface AddedJoint {
  readonly id: string;
  readonly parts: readonly string[];
  /** mm along it. */
  readonly length: number;
}

/** Joints that a wish speaks of as made; one that is left out is not. */
export function pinnedJoints(pin: PinEntry): readonly string[] {
  if ("joint" in pin) return [pin.joint];
  if ("before" in pin) return pin.before;
  if ("together" in pin) return pin.together;
  if ("add" in pin) return [pin.add.id];
  if ("leave" in pin) return [];
  return "shield" in pin ? [pin.shield] : [pin.forbid[0]];
}

/** What a joint is wished to be made by; the last said counts. */
export function pinnedMeans(pins: readonly PinEntry[], joint: string): PinnedMeans | null {
  return pins.reduce<PinnedMeans | null>((means, pin) => ("means" in pin && pin.joint === joint ? pin.means : means), null);
}
