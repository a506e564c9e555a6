import { facing } from "../../geometry/facing";
import { drawHoop } from "../../hoop/drawing";
import { planHoop } from "../../hoop/hoop";
import { type HoopEntry, type Mount } from "../piece";
import { settleHoop } from "../settle";
import { type CarrierKind } from "./carrier";

/** A hoop round the finger, its mounts on its outside. */
export const hoop: CarrierKind<HoopEntry> = {
  places: (_entry, mount, outline) => [acrossFinger(mount), acrossFinger(mount) + Math.PI].map((way) => facing(outline, way)),
  band: ({ stock }, mount) => ({ half: stock.width / 2, along: acrossFinger(mount) - Math.PI / 2 }),
  plan: (entry, carried, bench) => {
    const settled = settleHoop(entry, bench);
    const bases = carried.map(({ mount, setting: { extent, thickness, tie } }) => ({
      mount: mount.id,
      extent: extent(acrossFinger(mount)),
      thickness,
      along: mount.place?.along ?? 0,
      tie,
    }));
    const planned = planHoop(settled, bases);
    return {
      contribution: planned,
      drawing: { type: "hoop", ...drawHoop(settled, planned) },
      settled: { type: "hoop", ...settled },
    };
  },
};

/** The finger's curve crosses the outline's width where the outline is not turned. Radians from the outline's length. */
function acrossFinger({ place }: Mount): number {
  return Math.PI / 2 - ((place?.turn ?? 0) * Math.PI) / 180;
}
