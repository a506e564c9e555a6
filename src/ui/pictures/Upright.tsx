import { type Point } from "@/core/geometry/outline";
import { type SettingDrawing } from "@/core/mount/drawing";
import { Shape } from "../Drawing";
import { plateShape, topAt } from "../plate-shape";
import { SettingSection } from "../SectionView";

interface Props {
  readonly section: SettingDrawing["section"];
  readonly perMm: number;
  /** The fill of its stone; null where that is not in it. */
  readonly stone: string | null;
  /** Whether its plate is drawn with another setting. */
  readonly isOnAnother?: boolean;
}

/** A setting cut through before its edge is pushed over, in mm from the middle of its plate's top. */
export function UprightSection({ section, perMm, stone, isOnAnother = false }: Props) {
  const { plate, wall, shelf } = section;
  if (stone !== null) {
    return (
      <>
        <SettingSection
          section={{ ...section, folded: FOOT }}
          scale={{ perMm, times: 1 }}
          fill={`url(#${stone})`}
          isOnAnother={isOnAnother}
        />
        <Walls wall={wall} plate={plate} />
      </>
    );
  }
  return (
    <>
      {plate.thickness > 0 && !isOnAnother && <Shape points={plateShape(plate)} fill="url(#metal)" stroke="var(--color-metal-edge)" />}
      {shelf !== null &&
        [1, -1].map((side) => (
          <Shape
            key={side}
            points={box(side * shelf.inside, side * wall.inside, 0, shelf.height)}
            fill="url(#metal)"
            stroke="var(--color-metal-edge)"
          />
        ))}
      <Walls wall={wall} plate={plate} />
    </>
  );
}

/** Nothing of a pushed edge but its foot. */
const FOOT: readonly Point[] = [[0, 0]];

function Walls({ wall, plate }: Pick<SettingDrawing["section"], "wall" | "plate">) {
  return [1, -1].map((side) => (
    <Shape
      key={side}
      points={box(side * wall.inside, side * wall.outside, topAt(plate, wall.outside), wall.height)}
      fill="var(--color-metal)"
      stroke="var(--color-metal-edge)"
    />
  ));
}

function box(left: number, right: number, low: number, high: number): Point[] {
  return [
    [left, low],
    [right, low],
    [right, high],
    [left, high],
  ];
}
