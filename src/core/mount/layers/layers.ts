import { beadWire } from "./bead-wire";
import { granules } from "./granules";
import { type LayerKind, type LayerType } from "./layer";
import { twist } from "./twist";
import { wire } from "./wire";

/** Every kind of ornament that is planned, by its name in the file. */
export const LAYERS: Readonly<Record<LayerType, LayerKind>> = { wire, twist, "bead-wire": beadWire, granules };

export function isPlannedLayer(type: string): type is LayerType {
  return Object.hasOwn(LAYERS, type);
}
