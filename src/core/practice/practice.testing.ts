import { type Metal, METALS } from "../metal/metals";
import { type HeatBody } from "./body";
import { type Chain } from "./conduction";
import { type LaidPart } from "./laid";
import { MATERIALS } from "./materials";

/** A body of one part that nothing is joined to, on a mesh, about the middle of its drawing. @param volume mm3 */
export function loneBody(laid: LaidPart, metal: Metal, volume: number): HeatBody {
  const { density, heatCapacity, conductivity } = MATERIALS[metal];
  const mass = (volume * density) / 1e6;
  const of = (value: (bit: LaidPart["bits"][number]) => number) => Float64Array.from(laid.bits, value);
  const chains = (runs: LaidPart["runs"]): Chain[] =>
    runs.map(({ bits, across, apart, isClosed }) => ({
      cells: bits,
      conductances: across.map((area) => ((conductivity / 1000) * area) / apart),
      isClosed,
    }));
  return {
    ...{ view: "above", support: "mesh", working: 748, joints: [], middle: [0, 0], half: [0, 0], grip: null },
    heat: {
      joints: [],
      means: "solder",
      grade: "medium",
      working: 748,
      softens: [],
      runs: [],
      atRisk: [],
      pallions: null,
      solder: [],
      flame: [],
      thin: null,
    },
    parts: [{ id: "part", metal, mass, from: 0, to: laid.bits.length, grid: laid.grid, lines: [] }],
    partOf: new Int32Array(laid.bits.length),
    ...{ x: of(({ x }) => x), y: of(({ y }) => y), capacity: of(({ share }) => share * mass * heatCapacity) },
    ...{ bare: of(({ bare }) => bare), under: of(({ under }) => under), above: of(({ above }) => above), below: of(({ below }) => below) },
    ...{ depth: of(({ depth }) => depth), solidus: of(() => METALS[metal].solidus) },
    ...{ rows: chains(laid.runs), columns: chains(laid.columns) },
  };
}
