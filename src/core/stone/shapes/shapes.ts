import { type Outline, type Parallel } from "../../geometry/outline";
import { tolerance } from "../../measure/tolerances";
import { type Cushion, cushion } from "./cushion";
import { type Free, free } from "./free";
import { type Heart, heart } from "./heart";
import { type Marquise, marquise } from "./marquise";
import { type Oval, oval } from "./oval";
import { type Pear, pear } from "./pear";
import { type Rectangle, rectangle } from "./rectangle";
import { type Round, round } from "./round";
import { type MeasureKind } from "../../measure/stone-measures";
import { type ShapeFault, type ShapeKind } from "./shape";
import { type Triangle, triangle } from "./triangle";

export type OutlineShape = Round | Oval | Cushion | Rectangle | Pear | Marquise | Heart | Triangle | Free;

type Kinds = { readonly [S in OutlineShape as S["shape"]]: ShapeKind<S> };

/** Every shape there is. */
const KINDS: Kinds = { round, oval, cushion, rectangle, pear, marquise, heart, triangle, free };

function kindOf<S extends OutlineShape>(shape: S): ShapeKind<S> {
  return KINDS[shape.shape] as unknown as ShapeKind<S>;
}

const judged = new WeakMap<OutlineShape, readonly ShapeFault[]>();

/** Looked for once for each shape. */
export function shapeFaults(shape: OutlineShape): readonly ShapeFault[] {
  const known = judged.get(shape);
  if (known) return known;
  const faults = kindOf(shape).faults(shape);
  judged.set(shape, faults);
  return faults;
}

export function scaled<S extends OutlineShape>(shape: S, by: number): S {
  return kindOf(shape).scaled(shape, by);
}

/** The lengths that a caliper reads off a stone, in the order they are read: the dimension's name, what it is, and how long it is (mm). */
export function measuresOf(shape: OutlineShape): readonly { readonly name: string; readonly kind: MeasureKind; readonly mm: number }[] {
  const { measures } = kindOf(shape);
  return Object.entries(measures).map(([name, kind]) => ({ name, kind, mm: shape[name as keyof typeof shape] as unknown as number }));
}

/** The shape with one of its lengths as it was read. */
export function withMeasure<S extends OutlineShape>(shape: S, name: string, mm: number): S {
  return { ...shape, [name]: mm };
}

const made = new WeakMap<OutlineShape, Outline>();

/** The outline as its dimensions give it, made once for each shape. @throws for dimensions that `shapeFaults` refuses. */
export function outlineOfShape(shape: OutlineShape): Outline {
  const known = made.get(shape);
  if (known) return known;
  const outline = remembering(kindOf(shape).outline(shape));
  made.set(shape, outline);
  return outline;
}

/** An outline whose parallel curves are worked out once each: a plan asks for the same ones again and again. */
function remembering(outline: Outline): Outline {
  const known = new Map<number, Parallel>();
  return {
    ...outline,
    parallel: (d) => {
      const key = Math.round(d / tolerance.sameDistance);
      const parallel = known.get(key) ?? outline.parallel(d);
      if (known.size >= MOST_PARALLELS) known.clear();
      known.set(key, parallel);
      return parallel;
    },
  };
}

const MOST_PARALLELS = 256;
