import { NOTHING } from "../../joint/contribution";
import { type Carrier } from "../piece";
import { type CarrierKind } from "./carrier";

/** A setting by itself. */
export const none: CarrierKind<Extract<Carrier, { type: "none" }>> = {
  places: () => [],
  band: () => null,
  parts: () => [],
  jointCount: () => 0,
  faults: () => [],
  plan: () => ({ contribution: NOTHING, drawing: { type: "none" }, settled: { type: "none" } }),
};
