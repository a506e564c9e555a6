import { type StepCode } from "./step";

/** How long a step takes the hands, and how long it leaves the piece waiting after. */
export interface StepMinutes {
  readonly hands: number;
  readonly wait: number;
}

const PICKLE = 8;
const QUENCH = 1;
const GLUE = 30;
const PATINA = 5;

const hands = (minutes: number, wait = 0): StepMinutes => ({ hands: minutes, wait });

/** What is usual; a maker's own stand on their bench. */
export const USUAL_MINUTES: Readonly<Record<StepCode, StepMinutes>> = {
  "stone.look": hands(1),
  "stone.measure": hands(3),
  "wall.slit": hands(4),
  "wall.anneal": hands(1, QUENCH),
  "wall.cut": hands(2),
  "wall.square": hands(3),
  "wall.drill": hands(10),
  "wall.gaps": hands(10),
  "wall.teeth": hands(12),
  "wall.wrap": hands(6),
  "wall.press": hands(3),
  "wall.try": hands(2),
  "wall.foot": hands(4),
  "wall.part": hands(4),
  "wall.dome": hands(6),
  "wall.burr": hands(2),
  "wall.seat": hands(8),
  "wall.fits": hands(2),
  "wall.thin": hands(6),
  "plate.texture": hands(5),
  "plate.cut": hands(4),
  "plate.dome": hands(6),
  "plate.stamp": hands(2),
  "plate.saw": hands(10),
  "plate.drain": hands(3),
  "ledge.cut": hands(2),
  "ledge.bend": hands(5),
  "ledge.flat": hands(4),
  "ledge.try": hands(1),
  "ornament.twist": hands(6),
  "ornament.snip": hands(4),
  "ornament.melt": hands(8),
  "ornament.cut": hands(2),
  "ornament.bend": hands(6),
  "ornament.try": hands(2),
  "ornament.file": hands(4),
  "hoop.texture": hands(6),
  "hoop.cut": hands(3),
  "hoop.square": hands(3),
  "hoop.bend": hands(6),
  "hoop.round": hands(4),
  "hoop.flat": hands(5),
  "hoop.saddle": hands(8),
  "hoop.twist": hands(8),
  "hoop.flatten": hands(5),
  "hoop.taper": hands(10),
  "hoop.drill": hands(3),
  "hoop.slit": hands(10),
  "hoop.lay": hands(4),
  "hoop.spread": hands(6),
  "hoop.wrap": hands(5),
  "hoop.ends": hands(3),
  "hoop.feet": hands(8),
  "hoop.grip": hands(12),
  "hoop.bore": hands(15),
  "hoop.inlay": hands(12),
  "hoop.inset": hands(4, GLUE),
  "hoop.wood": hands(12),
  "bridge.cut": hands(3),
  "bridge.form": hands(8),
  "bail.cut": hands(5),
  "bail.fold": hands(4),
  "bail.saw": hands(3),
  "bail.wind": hands(4),
  "eye.mark": hands(2),
  "hang.try": hands(2),
  "link.wind": hands(3),
  "link.close": hands(2),
  "earwire.cut": hands(3),
  "earwire.bend": hands(5),
  "post.cut": hands(3),
  "post.mark": hands(2),
  "post.harden": hands(4),
  "applied.snip": hands(2),
  "applied.make": hands(5),
  "join.finish": hands(8),
  "join.prepare": hands(3),
  "join.solder": hands(3),
  "join.tin": hands(4),
  "join.fuse": hands(2),
  "join.pickle": hands(1, PICKLE),
  "join.check": hands(1),
  "join.cold": hands(5, GLUE),
  "set.try": hands(2),
  "set.height": hands(8),
  "set.curve": hands(12),
  "set.surface": hands(10, PATINA),
  "set.level": hands(3),
  "set.push": hands(12),
  "set.finish": hands(12),
  "set.burnish": hands(6),
  "set.polish": hands(12),
};

const AT_THE_FIRE: ReadonlySet<StepCode> = new Set(["wall.anneal", "ornament.melt", "join.solder", "join.tin", "join.fuse"]);

/** Whether the hands are at the torch in a step. */
export function isAtFire(code: StepCode): boolean {
  return AT_THE_FIRE.has(code);
}
