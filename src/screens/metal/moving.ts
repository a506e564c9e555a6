import { noMatch, type NoMatch } from "@/core/cutting/match";
import { type Pin } from "@/core/cutting/pin";
import { formOf } from "@/core/cutting/sources";
import { type BlankBox, type DrawerLayout, type LengthRow, type SheetBox, boxUnder, boxesFrom, isSheetBox, onSheet } from "./drawer-layout";

/** Where a blank is moved to; or why it cannot be: what is there is something else, or all there is; null where it stays as it is. */
export type Move = Pin | { readonly why: NoMatch | "only" } | null;

/** Degrees that one press turns a blank by. */
export const TURN = 15;

/** A pin of a blank where it lies. */
export function pinHere({ id, on, at }: BlankBox): Pin {
  return { blank: id, ...on.from, at };
}

/** A blank dragged so many pixels, let go with the pointer at a point of the picture. */
export function dragged(
  layout: DrawerLayout,
  blank: BlankBox,
  [dx, dy]: readonly [number, number],
  pointer: readonly [number, number],
): Move {
  const on = boxUnder(layout, pointer);
  if (!on) return null;
  if (isSheetBox(on) && isSheetBox(blank.on) && blank.at) {
    const { perMm } = layout;
    const [px, py] = [blank.on.x + blank.at.x * perMm + dx, blank.on.foot - blank.at.y * perMm + dy];
    const [x, y] = onSheet(on, perMm, [px, py]);
    return movedTo(blank, on, { ...blank.at, x, y });
  }
  return on === blank.on ? null : movedTo(blank, on, null);
}

/** A blank moved over its sheet by so many mm. */
export function nudged(blank: BlankBox, [dx, dy]: readonly [number, number]): Move {
  return blank.at && { ...pinHere(blank), at: { ...blank.at, x: blank.at.x + dx, y: blank.at.y + dy } };
}

/** A blank turned on its sheet about its middle, anticlockwise. */
export function turned({ perMm }: DrawerLayout, blank: BlankBox, degrees: number): Move {
  const { on, at, box } = blank;
  if (!at || !isSheetBox(on)) return null;
  const [x, y] = onSheet(on, perMm, [box.left + box.width / 2, box.top + box.height / 2]);
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const [dx, dy] = [at.x - x, at.y - y];
  const turn = (((at.turn + degrees) % 360) + 360) % 360;
  return { ...pinHere(blank), at: { x: x + dx * cos - dy * sin, y: y + dx * sin + dy * cos, turn } };
}

/** A blank on the next thing that it can be cut from. */
export function onNext(layout: DrawerLayout, blank: BlankBox, step: 1 | -1): Move {
  const next = boxesFrom(layout, blank.on, step).find(({ form }) => noMatch(formOf(blank.wanted), form) === null);
  return next ? movedTo(blank, next, blank.at) : { why: "only" };
}

function movedTo(blank: BlankBox, on: SheetBox | LengthRow, at: Pin["at"]): Move {
  const why = noMatch(formOf(blank.wanted), on.form);
  return why === null ? { blank: blank.id, ...on.from, at } : { why };
}

/** Pins with one more, or another for the same blank: what was moved last gives way to what lies there. */
export function withPin(pins: readonly Pin[], pin: Pin): readonly Pin[] {
  return [...withoutPin(pins, pin.blank), pin];
}

export function withoutPin(pins: readonly Pin[], blank: string): readonly Pin[] {
  return pins.filter((each) => each.blank !== blank);
}
