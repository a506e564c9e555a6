import { type Curve, circle, polygonCurve } from "../geometry/curve";
import { type WorkedJoint } from "../joint/contribution";
import { type Part } from "../joint/joint";
import { type Step, step } from "../making/step";
import { type Metal, massOf } from "../metal/metals";

/** A ring of round wire, in mm. */
export interface WireRing {
  readonly inside: number;
  readonly wire: number;
}

/** The wire of a ring: pi (inside + wire). */
export function ringLength({ inside, wire }: WireRing): number {
  return Math.PI * (inside + wire);
}

/** mm2 of the section of round wire. */
export function wireFace(wire: number): number {
  return (Math.PI / 4) * wire * wire;
}

/** g of so many mm of round wire. */
export function wireMass(metal: Metal, wire: number, length: number): number {
  return massOf(metal, wireFace(wire) * length);
}

/** A ring that hangs in a part. */
export function ringPart(metal: Metal, ring: WireRing, holder: string): Part {
  const mass = wireMass(metal, ring.wire, ringLength(ring));
  return { id: `${holder}.ring`, kind: "jump-ring", mount: null, metal, mass, thickness: ring.wire };
}

/** A ring is wound and sawn through, hung in what holds it when all else is done, and closed: no flame comes near what is set. */
export function ringLink({ inside, wire }: WireRing, holder: string, after: string): WorkedJoint {
  const part = `${holder}.ring`;
  return linked(part, holder, wire, [after], "bail.ringLength", [
    step(part, "link.wind", { target: "bail.ringLength", checks: ["ends.noBurr"], cautions: ["saw"], values: { rod: inside } }),
  ]);
}

/** What hangs in something, held by nothing but its own closed end. */
export function linked(
  part: string,
  holder: string,
  wire: number,
  after: readonly string[],
  follows: string,
  before: readonly Step[],
): WorkedJoint {
  return {
    ...{ id: `${part}.link`, kind: "link", mount: null, parts: [part, holder], place: "end", isCold: true },
    ...{ length: wire, area: wireFace(wire), after, follows: [follows] },
    work: {
      before,
      lookedFor: [],
      after: [],
      link: step(part, "link.close", { works: [holder], checks: ["ends.noLight"], values: { part, in: holder } }),
    },
  };
}

/** A ring whose plane is the plate's, from the side: a bar as wide as its wire. */
export function edgeOn({ inside, wire }: WireRing, middle: number): Curve[] {
  const outside = inside / 2 + wire;
  return [
    polygonCurve([
      [-wire / 2, middle - outside],
      [wire / 2, middle - outside],
      [wire / 2, middle + outside],
      [-wire / 2, middle + outside],
    ]),
  ];
}

/** A ring as it hangs with its wire under the top of a bore, out from the edge: across from the front, edge on from the side. */
export function drawnRing({ inside, wire }: WireRing, boreTop: number) {
  const middle = boreTop + inside / 2;
  const outside = inside / 2 + wire;
  return {
    front: [circle(outside, [0, middle]), circle(inside / 2, [0, middle])],
    side: edgeOn({ inside, wire }, middle),
    middle,
    top: middle + outside,
  };
}
