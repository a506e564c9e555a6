/** Where solder is put: laid inside or outside of a joint, under it, melted on one part first, fed as wire, or laid as paste. */
export const PLACINGS = ["inside", "outside", "under", "sweat", "wire", "paste"] as const;
export type Placing = (typeof PLACINGS)[number];
