import { planBail } from "../../bail/bail";
import { type DrawnHang } from "../../bail/hanging";
import { bentWire, planEarWire } from "../../earring/ear-wire";
import { earringFigures } from "../../earring/worn";
import { flattened } from "../../geometry/curve";
import { mergeContributions } from "../../joint/contribution";
import { type Hung } from "../../mount/weights";
import { type EarWiresEntry } from "../piece";
import { settleBail } from "../settle";
import { type CarrierKind, oneSetting } from "./carrier";

/** Inside of the ring that the wire hangs in, in thicknesses of that wire, of which the ring is wound too. */
const RING_INSIDE = 3;

/** An earring that hangs by a ring in the eye of an ear wire. */
export const earWires: CarrierKind<EarWiresEntry> = {
  places: ({ eye }) => [eye.at],
  band: () => null,
  parts: () => [],
  jointCount: () => 3,
  faults: (_entry, mounts) => oneSetting(mounts),
  plan: ({ wire, length, eye, metal = "sterling" }, carried) => {
    const [{ mount, setting, hung }] = carried as [(typeof carried)[number]];
    const ring = settleBail({ type: "jump-ring", inside: RING_INSIDE * wire, wire, metal, eye }, [mount.id]);
    const hanging = { mount: mount.id, tie: setting.tie, hung: hung() };
    const bail = planBail(ring, [hanging]);
    const earWire = { metal, wire, length };
    const bent = bentWire(earWire);
    const wired = planEarWire(earWire, "bail", `bail.eye.${mount.id}`);
    const own = [...bail.parts, ...wired.parts].reduce((all, { mass }) => all + mass, 0);
    const figures = earringFigures(
      { wire: bent.height, below: hangsBelow(hanging.hung, bail.drawn.hangs[0]!) },
      { weights: hanging.hung.weights, stone: `${mount.id}.stone`, metal: own },
    );
    return {
      contribution: mergeContributions([bail, { ...wired, figures: { ...wired.figures, ...figures } }]),
      drawing: { type: "bail", ...bail.drawn, earWire: bent },
      settled: { type: "bail", ...ring, earWire },
    };
  },
};

/** How closely an edge is followed (mm). */
const DRAWN = 0.01;

/** From where it hangs to its lowest point, as it hangs (mm). */
function hangsBelow({ edge }: Hung, { eyes, balance }: DrawnHang): number {
  const [px, py] = eyes[0]!.pivot;
  const [dx, dy] = [balance[0] - px, balance[1] - py];
  const long = Math.hypot(dx, dy);
  return Math.max(...flattened(edge.loop.curve(), DRAWN).map(([x, y]) => ((x - px) * dx + (y - py) * dy) / long));
}
