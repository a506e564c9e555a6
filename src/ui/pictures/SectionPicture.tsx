import { type SettingDrawing } from "@/core/mount/drawing";
import { Frame, Measure, type Pixels } from "./Frame";
import { UprightSection } from "./Upright";

interface Props extends Pixels {
  readonly drawing: SettingDrawing;
  /** The fill of its stone; null where that is not in it. */
  readonly stone: string | null;
  readonly label: string;
  /** What is measured: from one height to another, and how it reads. */
  readonly measure: { readonly from: number; readonly to: number; readonly text: string } | null;
}

/** Room beside the section for its measure, as a share of its half. */
const BESIDE = 0.24;
/** From the measure to the middle of its words, in pixels. */
const ASIDE = -40;

/** A setting cut through before its edge is pushed over, with the one height that counts. */
export function SectionPicture({ drawing: { section }, stone, label, measure, ...size }: Props) {
  const { plate, wall, top } = section;
  const half = Math.max(plate.half, wall.outside);
  const high = Math.max(stone === null ? 0 : top, wall.height);
  return (
    <Frame
      {...size}
      label={label}
      box={{ left: -half, right: half * (measure ? 1 + 3 * BESIDE : 1), low: -plate.rises, high }}
      shapes={({ perMm }) => <UprightSection section={section} perMm={perMm} stone={stone} />}
      words={({ px }) =>
        measure && (
          <Measure
            from={px([half * (1 + BESIDE), measure.from])}
            to={px([half * (1 + BESIDE), measure.to])}
            text={measure.text}
            aside={ASIDE}
            isChief
          />
        )
      }
    />
  );
}
