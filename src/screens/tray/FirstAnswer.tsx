import { type ReactNode } from "react";
import { figureOf } from "@/core/measure/figure";
import { type DoubtOf, doubtAmong } from "@/core/piece/doubt";
import { type Plan, hoopIn } from "@/core/piece/plan";
import { MetalFill, Millimetres, scaleFor } from "@/ui/Drawing";
import { SettingSection } from "@/ui/SectionView";
import { StoneFill } from "@/ui/StoneFill";
import { flameName, namesIn } from "@/words/names";
import { type Units, degrees, lengthUnit, showLength, showTemperature } from "@/words/show";
import { roundingOf } from "@/words/steps";
import { commonText } from "@/words/common";
import { firstAnswerText } from "@/words/screens/tray";

interface Props {
  readonly plan: Plan;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
}

/** The whole answer of a first stone, growing as its numbers come: what rests on one that is missing stays blank and faint. */
export function FirstAnswer({ plan, units, doubtOf }: Props) {
  const length = (key: string) => (doubtOf(key) ? "–" : showLength(figureOf(plan.figures, key).value, roundingOf(key), units));
  const isKnown = (...keys: readonly string[]) => doubtAmong(keys, doubtOf) === null;
  const unit = lengthUnit(units);
  return (
    <div className="mt-5 grid grid-cols-1 gap-3 md:grid-cols-3">
      <Part
        title={firstAnswerText.bezelAndPlate}
        isKnown={isKnown("m1.wall.cutLength", "m1.wall.cutHeight")}
        says={
          <>
            {firstAnswerText.cutStrip} <Big>{length("m1.wall.cutLength")}</Big> × {length("m1.wall.cutHeight")} {unit}
            <br />
            {firstAnswerText.platesBlank(length("m1.plate.blankLength"), length("m1.plate.blankWidth"), unit)}
          </>
        }
      >
        <SectionPicture plan={plan} />
      </Part>
      <Part title={firstAnswerText.hoop} isKnown={isKnown("hoop.cutLength")} says={firstAnswerText.theBlankDependsOnThe}>
        <HoopPicture plan={plan} />
      </Part>
      <Part
        title={commonText.heats}
        isKnown={isKnown("m1.wall.cutLength")}
        says={firstAnswerText.heatsNoEarlierJointMay(plan.heats.length)}
      >
        <HeatsPicture plan={plan} units={units} />
      </Part>
    </div>
  );
}

function Big({ children }: { readonly children: ReactNode }) {
  return <b className="text-2xl font-bold font-condensed">{children}</b>;
}

interface PartProps {
  readonly title: string;
  readonly isKnown: boolean;
  readonly says: ReactNode;
  readonly children: ReactNode;
}

function Part({ title, isKnown, says, children }: PartProps) {
  return (
    <section aria-label={title} className="min-w-0 rounded-md border border-line bg-paper/85 p-3">
      <h2 className="text-sm font-strong text-soft">{title}</h2>
      <div aria-hidden="true" className={isKnown ? "" : "opacity-35"}>
        {children}
      </div>
      <p className="mt-2 text-sm leading-text">{says}</p>
    </section>
  );
}

const PICTURE = { width: 300, height: 132 } as const;

function SectionPicture({ plan }: { readonly plan: Plan }) {
  const { section } = plan.drawing.settings.m1!;
  const scale = scaleFor(2 * section.plate.half, section.top + section.plate.rises, PICTURE.width - 20, PICTURE.height - 24);
  return (
    <svg {...PICTURE} viewBox={`0 0 ${PICTURE.width} ${PICTURE.height}`} className="mx-auto max-w-full">
      <defs>
        <MetalFill />
      </defs>
      <StoneFill material="agate" />
      <Millimetres x={PICTURE.width / 2} y={PICTURE.height - 16} scale={scale}>
        <SettingSection section={section} scale={scale} />
      </Millimetres>
    </svg>
  );
}

function HoopPicture({ plan }: { readonly plan: Plan }) {
  const hoop = hoopIn(plan)!.drawn;
  const { section } = plan.drawing.settings.m1!;
  const rest = hoop.seats.m1!.level;
  const tall = rest + section.plate.rises + section.top + hoop.outside;
  const scale = scaleFor(2 * Math.max(hoop.outside, section.plate.half), tall, PICTURE.width - 20, PICTURE.height - 8);
  const y = PICTURE.height - 4 - hoop.outside * scale.perMm;
  return (
    <svg {...PICTURE} viewBox={`0 0 ${PICTURE.width} ${PICTURE.height}`} className="mx-auto max-w-full">
      <Millimetres x={PICTURE.width / 2} y={y} scale={scale}>
        <circle r={(hoop.inside + hoop.outside) / 2} fill="none" stroke="var(--color-metal)" strokeWidth={hoop.outside - hoop.inside} />
        <g transform={`translate(0 ${rest + section.plate.rises})`}>
          <SettingSection section={section} scale={scale} />
        </g>
      </Millimetres>
    </svg>
  );
}

const COOLEST = 600;

function HeatsPicture({ plan, units }: { readonly plan: Plan; readonly units: Units }) {
  const names = namesIn(plan);
  const most = Math.max(...plan.heats.map(({ working }) => working));
  return (
    <ol className="flex h-37.5 flex-col justify-center gap-1.5 text-sm">
      {plan.heats.map((heat, i) => (
        <li key={i} className="grid grid-cols-[1fr_88px] items-center gap-2">
          <span className="min-w-0 truncate">
            {i + 1} {names.joints(heat.joints).join(" + ")}, {flameName(heat)}
          </span>
          <span className="flex items-center gap-1.5">
            <span className="h-2 rounded-sm bg-flame" style={{ width: `${(44 * (heat.working - COOLEST)) / (most - COOLEST)}px` }} />
            {showTemperature(heat.working, units)}
            {degrees(units)}
          </span>
        </li>
      ))}
    </ol>
  );
}
