import { planBail } from "../../bail/bail";
import { facing } from "../../geometry/facing";
import { type Fault, fault } from "../fault";
import { type BailEntry, type JumpRingEntry, type Mount } from "../piece";
import { settleBail } from "../settle";
import { type CarrierKind } from "./carrier";

type Entry = BailEntry | JumpRingEntry;

/** No more eyes than this on a setting: one that hangs, two that are pulled. */
const MOST_EYES = 2;

/** A bail, or a jump ring, by which settings hang. */
export const bail: CarrierKind<Entry> = {
  places: (entry, mount, outline) => {
    const eyes = entry.eyes?.filter((eye) => eye.mount === mount.id) ?? (entry.eye ? [entry.eye] : []);
    return eyes.length > 0 ? eyes.map(({ at }) => at) : [facing(outline, (((entry.hangAxis ?? 0) + 180) * Math.PI) / 180)];
  },
  band: () => null,
  parts: (entry) => ["bail", ...(entry.eyes ?? []).slice(1).map((_, i) => `bail.${i + 2}`)],
  jointCount: (entry, mounts) => (entry.eyes?.length ?? mounts) * (entry.type === "jump-ring" || entry.ring ? 2 : 1),
  faults: (entry, mounts) => eyeFaults(entry, mounts),
  plan: (entry, carried) => {
    const settled = settleBail(
      entry,
      carried.map(({ mount }) => mount.id),
    );
    const hangings = carried.map(({ mount, setting, hung }) => ({ mount: mount.id, tie: setting.tie, hung: hung() }));
    const planned = planBail(settled, hangings);
    return {
      contribution: planned,
      drawing: { type: "bail", ...planned.drawn, earWire: null },
      settled: { type: "bail", ...settled, earWire: null },
    };
  },
};

/** Every eye is on a mount that is there, and every mount hangs by one. */
function eyeFaults({ eye, eyes }: Entry, mounts: readonly Mount[]): Fault[] {
  const ids = mounts.map(({ id }) => id);
  if (!eyes) return eye && mounts.length > 1 ? [fault("/carrier/eye", "eyes-by-mount", { got: mounts.length })] : [];
  const count = (id: string) => eyes.filter(({ mount }) => mount === id).length;
  return [
    ...(eye ? [fault("/carrier/eye", "eye-or-eyes", {})] : []),
    ...eyes.flatMap(({ mount }, i) => (ids.includes(mount) ? [] : [fault(`/carrier/eyes/${i}/mount`, "no-such-mount", { got: mount })])),
    ...ids.flatMap((id) => (count(id) === 0 ? [fault("/carrier/eyes", "no-eye", { mount: id })] : [])),
    ...ids.flatMap((id) =>
      count(id) > MOST_EYES ? [fault("/carrier/eyes", "too-many", { limit: MOST_EYES, what: `eyes of ${id}`, got: count(id) })] : [],
    ),
  ];
}
