import { type PinEntry } from "@/core/heats/pins";
import { MEANS_NAMES } from "./heats";
import { type Names, gradeName } from "./names";

/** A wish of the heats as it is said. */
export function pinText(pin: PinEntry, { joint, part }: Names): string {
  if ("grade" in pin) return `${joint(pin.joint)}: ${gradeName(pin.grade)}`;
  if ("means" in pin) return `${joint(pin.joint)}: ${MEANS_NAMES[pin.means]}`;
  if ("before" in pin) return `${joint(pin.before[0])} before ${joint(pin.before[1])}`;
  if ("together" in pin) return `${joint(pin.together[0])} and ${joint(pin.together[1])} in one heat`;
  if ("add" in pin) return `added joint: ${pin.add.parts.map(part).join(" to ")}`;
  if ("leave" in pin) return `${joint(pin.leave)} left out`;
  if ("shield" in pin) return `${joint(pin.shield)} shielded`;
  return `${joint(pin.forbid[0])} never ${gradeName(pin.forbid[1])}`;
}
