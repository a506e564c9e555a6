import { type LayerKind } from "./layer";

/** Every kind of ornament that is planned, by its name in the file. */
export const LAYERS: Readonly<Record<string, LayerKind>> = {};

export function isPlannedLayer(type: string): boolean {
  return Object.hasOwn(LAYERS, type);
}
