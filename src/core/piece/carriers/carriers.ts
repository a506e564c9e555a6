import { type Carrier } from "../piece";
import { bail } from "./bail";
import { type CarrierKind } from "./carrier";
import { earWires } from "./ear-wires";
import { hoop } from "./hoop";
import { none } from "./none";
import { posts } from "./posts";

/** Every kind of carrier, by its name in the file. */
const CARRIERS: { readonly [Type in Carrier["type"]]: CarrierKind<Extract<Carrier, { type: Type }>> } = {
  hoop,
  bail,
  "jump-ring": bail,
  posts,
  "ear-wires": earWires,
  none,
};

/** The kind of a carrier, which takes that carrier alone. */
export function carrierKind(carrier: Carrier): CarrierKind<Carrier> {
  return CARRIERS[carrier.type];
}
