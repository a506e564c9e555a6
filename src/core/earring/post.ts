import { flattened } from "../geometry/curve";
import { type Point } from "../geometry/outline";
import { distanceInside } from "../geometry/polygon";
import { roomiest } from "../geometry/roomiest";
import { balanceOf } from "../bail/hang";
import { wireFace, wireMass } from "../bail/link";
import { type Contribution, NOTHING } from "../joint/contribution";
import { step } from "../making/step";
import { layBlank } from "../measure/blank";
import { single } from "../measure/figure";
import { type Finding, finding } from "../measure/finding";
import { cutToLength, roundWire } from "../metal/cut";
import { type Metal } from "../metal/metals";
import { tolerance } from "../measure/tolerances";
import { type SettingDrawing } from "../mount/drawing";
import { type PlannedSetting } from "../mount/setting";
import { type Hung } from "../mount/weights";
import { earringFigures, wornInEar } from "./worn";

/** A post on a setting's back; lengths in mm, `at` in the setting's plane, seen from the front. */
export interface Post {
  readonly metal: Metal;
  readonly wire: number;
  readonly length: number;
  readonly at: Point;
}

/** How a stud sits: its post, where it balances, and how far from the post's edge the metal it stands on ends (mm). */
export interface DrawnPost extends Post {
  readonly balance: Point;
  readonly mass: number;
  readonly clear: number;
}

/** Closer than this curves are followed (mm). */
const DRAWN = 0.002;

/** What a post is soldered to, seen from the front. */
type Back = Pick<SettingDrawing["plan"], "plateEdge" | "opening" | "back">;

/** How far metal goes on past a post that stands at a place: to the back's edge, to what is left open of it, to its drain; below 0 it misses it (mm). */
export function clearOfBack({ plateEdge, opening, back }: Back, at: Point, wire: number): number {
  const edge = distanceInside(flattened(plateEdge, DRAWN), at);
  const open = opening.map((curve) => -distanceInside(flattened(curve, DRAWN), at));
  const drain = back.drain ? [Math.hypot(at[0] - back.drain.at[0], at[1] - back.drain.at[1]) - back.drain.diameter / 2] : [];
  return Math.min(edge, ...open, ...drain) - wire / 2;
}

/** Where a post is first put: above where the stud balances, as near to the middle of its upper half as its back has room. The point hangs down. */
export function usualPost(back: Back, balance: Point, wire: number): Point {
  const edge = flattened(back.plateEdge, DRAWN);
  const top = Math.min(...edge.map(([x]) => x));
  const wish: Point = [(top + balance[0]) / 2, balance[1]];
  const hasRoom = (at: Point) => at[0] <= balance[0] && clearOfBack(back, at, wire) >= ROOM;
  const nearness = (at: Point) => (hasRoom(at) ? -Math.hypot(at[0] - wish[0], at[1] - wish[1]) : -Infinity);
  return roomiest(edge, nearness, wish);
}

/** Metal that goes on all round a post that is first put there (mm). */
const ROOM = 0.1;

/** All that a post on a setting's back adds. */
export function planPost(
  post: Post,
  mount: string,
  setting: PlannedSetting,
  { weights, isGuess }: Hung,
): Contribution & { readonly drawn: DrawnPost } {
  const { metal, wire, length, at } = post;
  const { tie, drawing } = setting;
  const { at: balance, mass } = balanceOf(weights);
  const clear = clearOfBack(drawing.plan, at, wire);
  const own = wireMass(metal, wire, length);
  const making = [
    step("post", "post.cut", { target: "post.cutLength", checks: ["ends.square", "wire.smooth"], cautions: ["saw"] }),
    step("post", "post.mark", { values: { above: balance[0] - at[0], aside: at[1] } }),
  ];
  return {
    ...NOTHING,
    figures: {
      "post.cutLength": single("mm", length, "post.length", "piece"),
      ...earringFigures({ wire: null, below: setting.extent(0) }, { weights, stone: `${mount}.stone`, metal: own }),
    },
    findings: [
      ...wornInEar("post", metal, wire),
      ...(clear < -tolerance.seen ? [finding("post.off", "error", "post", { by: -clear })] : []),
      ...overStamp(setting, at, wire),
      ...(at[0] - balance[0] > tolerance.seen ? [finding("post.low", "warning", "post", { by: at[0] - balance[0] })] : []),
      ...(isGuess ? [finding("hang.stone-guessed", "note", `${mount}.stone`, {}, mount)] : []),
    ],
    parts: [{ id: "post", kind: "post", mount: null, metal, mass: own, thickness: wire }],
    joints: [
      {
        ...{ id: `${mount}.post`, kind: "post", mount, parts: ["post", drawing.plan.opening.length > 0 ? `${mount}.ledge` : tie.part] },
        ...{ length: Math.PI * wire, area: wireFace(wire), place: "back", after: tie.after, follows: ["post.cutLength"] },
        work: {
          before: [...making, step(mount, "join.finish", { works: [tie.part], checks: ["parts.reached"], cautions: ["dust", "wheel"] })],
          lookedFor: ["joint.bright", "post.square"],
          after: [step("post", "post.harden", { works: [tie.part], checks: ["post.firm"] })],
        },
      },
    ],
    cuts: [cutToLength({ part: "post", mount: null, metal }, roundWire(wire), "post.cutLength", length)],
    made: { post: { flat: making, formed: making } },
    laid: { post: layBlank(length, 0, 0, []) },
    drawn: { ...post, balance, mass: mass + own, clear },
  };
}

/** A post on the stamp hides it. */
function overStamp({ drawing }: PlannedSetting, at: Point, wire: number): Finding[] {
  const { stamp } = drawing.plan.back;
  if (!stamp) return [];
  const apart = -distanceInside(stamp.corners, at) - wire / 2;
  return apart < -tolerance.seen ? [finding("post.over-stamp", "warning", "post", { by: -apart })] : [];
}
