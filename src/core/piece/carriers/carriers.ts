import { type Carrier } from "../piece";
import { type CarrierKind } from "./carrier";
import { hoop } from "./hoop";
import { none } from "./none";

/** Every kind of carrier that is planned, by its name in the file. */
const CARRIERS: { readonly [Type in Carrier["type"]]?: CarrierKind<Extract<Carrier, { type: Type }>> } = { hoop, none };

export function isPlannedCarrier({ type }: Carrier): boolean {
  return Object.hasOwn(CARRIERS, type);
}

/** The kind of a carrier, which takes that carrier alone. @throws for one that `unplanned` refuses. */
export function carrierKind(carrier: Carrier): CarrierKind<Carrier> {
  const kind = CARRIERS[carrier.type];
  if (!kind) throw new RangeError(`carrier ${carrier.type} is not planned`);
  return kind;
}
