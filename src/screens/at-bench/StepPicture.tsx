"use client";

import { type ReactNode } from "react";
import { boxOf } from "@/core/geometry/curve";
import { type Step, type StepCode, isHeating } from "@/core/making/step";
import { type DoubtOf } from "@/core/piece/doubt";
import { type Plan, bailIn, heatOf, hoopIn, postIn } from "@/core/piece/plan";
import { Rule } from "@/ui/Rule";
import { Shape } from "@/ui/Drawing";
import { StoneFill } from "@/ui/StoneFill";
import { useSessionState } from "@/ui/session";
import { useDoubt } from "@/ui/doubt";
import { useUnits } from "@/ui/tray";
import { useSize } from "@/ui/useSize";
import { HeatPicture } from "@/ui/pictures/HeatPicture";
import { type Shown, SettingAbove, SharersAbove, boxAbove } from "@/ui/pictures/Above";
import { HoopAlong, boxAlong } from "@/ui/pictures/Along";
import { FlameBar } from "@/ui/pictures/FlameBar";
import { Frame, Measure, type Pixels } from "@/ui/pictures/Frame";
import { Push } from "@/ui/pictures/Push";
import { SectionPicture } from "@/ui/pictures/SectionPicture";
import { Through } from "@/ui/pictures/Through";
import { BLANK_MARKS } from "@/words/marks";
import { namesIn } from "@/words/names";
import { pictureText } from "@/words/pictures";
import { type Units } from "@/words/show";
import { figureText, sayStep } from "@/words/steps";
import { PICTURES, type PictureKind } from "./step-pictures";

interface Props {
  readonly step: Step;
  readonly plan: Plan;
}

/** What each kind of picture is drawn from. */
interface Drawn extends Props, Pixels {
  readonly mount: string;
  readonly label: string;
  readonly fill: string;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
}

/** A step's own picture, drawn from the plan, with the one measure that counts. */
export function StepPicture({ step, plan }: Props) {
  const [ref, size] = useSize(520, 340);
  const units = useUnits();
  const doubtOf = useDoubt();
  const piece = useSessionState((state) => state.piece);
  const mount = mountOf(step, plan);
  const stone = piece.mounts.find(({ id }) => id === mount)?.stone;
  const drawn: Drawn = {
    ...{ step, plan, mount, units, doubtOf, width: size.width, height: size.height },
    label: pictureText.of(sayStep(step, plan, units, doubtOf).title),
    fill: `bench-${mount}`,
  };
  const kind = PICTURES[step.code];
  return (
    <div ref={ref} className={`step-picture relative min-h-0 ${kind === "rule" ? "night-rule" : "night-picture"}`}>
      <svg width={0} height={0} aria-hidden="true" className="absolute">
        {plan.drawing.settings[mount] && <StoneFill id={drawn.fill} material={stone?.material?.name ?? stone?.name ?? ""} />}
      </svg>
      <div className="absolute inset-0">{DRAWN_AS[kind](drawn)}</div>
    </div>
  );
}

/** The setting that a step is done to, or the first. */
function mountOf(step: Step, plan: Plan): string {
  const { settings } = plan.drawing;
  const joint = plan.joints.find(({ id }) => id === step.part || id === step.joints[0]);
  const part = plan.parts.find(({ id }) => id === step.part || step.works.includes(id));
  return [step.part, joint?.mount, part?.mount].find((id) => id && id in settings) ?? Object.keys(settings)[0]!;
}

/** Steps of a plate that nothing stands on yet. */
const BEFORE_IT_IS_SAWN: ReadonlySet<StepCode> = new Set(["plate.texture", "plate.cut", "plate.dome"]);

const DRAWN_AS: Readonly<Record<PictureKind, (drawn: Drawn) => ReactNode>> = {
  stone: (drawn) => <StonePicture {...drawn} />,
  rule: (drawn) => <OnRule {...drawn} />,
  wrapped: (drawn) => <AbovePicture {...drawn} shown={{ plate: false, wall: true, stone: true, layers: [] }} hasSeam />,
  through: (drawn) => <Through {...drawn} drawing={drawn.plan.drawing.settings[drawn.mount]!} isThrough />,
  dropped: (drawn) => <Through {...drawn} drawing={drawn.plan.drawing.settings[drawn.mount]!} isThrough={false} />,
  section: (drawn) => <Section {...drawn} stone={null} />,
  seated: (drawn) => <Section {...drawn} stone={drawn.fill} />,
  blank: (drawn) => {
    const isBlank = BEFORE_IT_IS_SAWN.has(drawn.step.code);
    return <AbovePicture {...drawn} shown={{ plate: true, isBlank, wall: !isBlank, stone: false, layers: [] }} isSized />;
  },
  back: (drawn) => <Back {...drawn} />,
  ornament: (drawn) => (
    <AbovePicture
      {...drawn}
      shown={{
        plate: false,
        wall: true,
        stone: false,
        layers: drawn.plan.parts.filter(({ mount }) => mount === drawn.mount).map(({ id }) => id),
      }}
    />
  ),
  hoop: (drawn) => <HoopPicture {...drawn} isWhole={false} />,
  ring: (drawn) => <HoopPicture {...drawn} isWhole />,
  hang: (drawn) => <Hanging {...drawn} />,
  heat: (drawn) => <AtHeat {...drawn} isLaid />,
  "heat-bare": (drawn) => <AtHeat {...drawn} isLaid={false} />,
  push: (drawn) => <Push {...drawn} drawing={drawn.plan.drawing.settings[drawn.mount]!} inTurn />,
  set: (drawn) => <Push {...drawn} drawing={drawn.plan.drawing.settings[drawn.mount]!} inTurn={false} />,
};

/** A figure as it is told; nothing of one that the plan has not, or that rests on a guess. */
function told({ plan, units, doubtOf }: Drawn, key: string): string | null {
  const figure = plan.figures[key];
  return figure && !doubtOf(key) ? figureText(key, figure, units) : null;
}

/** Room for measures round a drawing, in pixels. */
function marginFor({ width, height }: Pixels): number {
  return Math.min(76, 0.24 * Math.min(width, height));
}

/** The stone from above with both its sizes. */
function StonePicture(drawn: Drawn) {
  const { plan, mount, label, fill, width, height } = drawn;
  const setting = plan.drawing.settings[mount]!;
  const box = boxOf(setting.plan.stone);
  const [long, wide] = ["length", "width"].map((name) => told(drawn, `${mount}.stone.${name}`));
  return (
    <Frame
      {...{ width, height, label, box }}
      margin={marginFor(drawn)}
      shapes={() => <Shape curve={setting.plan.stone} fill={`url(#${fill})`} stroke="var(--color-shade)" />}
      words={({ px }) => {
        const [[left, low], [right, high]] = [px([box.left, box.low]), px([box.right, box.high])];
        return (
          <>
            {long && <Measure from={[left, low + 26]} to={[right, low + 26]} text={long} />}
            {wide && <Measure from={[right + 40, high]} to={[right + 40, low]} text={wide} />}
          </>
        );
      }}
    />
  );
}

/** What is cut, along the rule; what has no place there is shown as it will lie. */
function OnRule(drawn: Drawn) {
  const { step, plan, mount, units } = drawn;
  const part = [step.part, ...step.works, `${mount}.wall`].find((id) => id in plan.drawing.laid && plan.drawing.laid[id]);
  const blank = part === undefined ? undefined : plan.drawing.laid[part];
  const cut = plan.cuts.find((each) => each.part === part);
  if (!blank || part === undefined) return <HoopPicture {...drawn} isWhole />;
  const isWall = part === `${mount}.wall`;
  const setting = plan.drawing.settings[mount]!;
  const tall = isWall ? setting.stock.tall : cut && "width" in cut.stock ? cut.stock.width : 2;
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)] content-center">
      <Rule
        blank={blank}
        height={tall}
        cut={(cut && told(drawn, cut.figure)) ?? ""}
        beyond=""
        names={BLANK_MARKS}
        units={units}
        gaps={isWall ? setting.stock.gaps : []}
      />
    </div>
  );
}

interface AboveProps extends Drawn {
  readonly shown: Shown;
  readonly hasSeam?: boolean;
  readonly isSized?: boolean;
}

/** A setting from above, as far as it is made. */
function AbovePicture({ shown, hasSeam = false, isSized = false, ...drawn }: AboveProps) {
  const { plan, mount, label, fill, width, height, step } = drawn;
  const setting = plan.drawing.settings[mount]!;
  const box = boxAbove(setting, shown);
  const { seam } = setting.plan;
  const [long, wide] = [step.target, step.second].map((key) => (key === null ? null : told(drawn, key)));
  return (
    <Frame
      {...{ width, height, label, box }}
      margin={isSized ? marginFor(drawn) : 30}
      shapes={() => <SettingAbove drawing={setting} shown={shown} fill={fill} />}
      words={({ px }) => {
        const [[left, low], [right, high]] = [px([box.left, box.low]), px([box.right, box.high])];
        return (
          <>
            {isSized && long && <Measure from={[left, low + 26]} to={[right, low + 26]} text={long} isChief />}
            {isSized && wide && <Measure from={[right + 40, high]} to={[right + 40, low]} text={wide} isChief />}
            {hasSeam && seam && <Spot at={px([seam.x, seam.y])} text={pictureText.seam} />}
          </>
        );
      }}
    />
  );
}

function Spot({ at: [x, y], text }: { readonly at: readonly [number, number]; readonly text: string }) {
  return (
    <>
      <circle cx={x} cy={y} r={5} fill="var(--color-glow)" />
      <text x={x + 10} y={y - 8} fontSize={15} fill="var(--color-ink)" paintOrder="stroke" stroke="var(--color-sheet)" strokeWidth={5}>
        {text}
      </text>
    </>
  );
}

/** The plate from above with what is struck into it, drilled through it, or soldered to its back. */
function Back(drawn: Drawn) {
  const { plan, mount, label, fill, width, height } = drawn;
  const setting = plan.drawing.settings[mount]!;
  const shown = { plate: setting.plan.back.plate !== null, wall: false, stone: false, layers: [] };
  const { stamp, drain } = setting.plan.back;
  const post = postIn(plan)?.drawn;
  return (
    <Frame
      {...{ width, height, label }}
      margin={30}
      box={boxAbove(setting, shown)}
      shapes={() => (
        <>
          <SettingAbove drawing={setting} shown={shown} fill={fill} />
          <Shape curve={setting.plan.wallOutside} fill="none" stroke="var(--color-metal-edge)" strokeDasharray="4 4" />
          {stamp && <Shape points={stamp.corners} fill="var(--color-metal-mid)" stroke="var(--color-glow)" strokeWidth={2} />}
        </>
      )}
      words={({ px, perMm }) => (
        <>
          {stamp && <Spot at={px(stamp.at)} text={pictureText.stamp} />}
          {drain && (
            <>
              <circle
                cx={px(drain.at)[0]}
                cy={px(drain.at)[1]}
                r={(drain.diameter / 2) * perMm}
                fill="var(--color-sheet)"
                stroke="var(--color-glow)"
              />
              <Spot at={px(drain.at)} text={pictureText.drain} />
            </>
          )}
          {post && <Spot at={px(post.at)} text={namesIn(plan).part("post")} />}
        </>
      )}
    />
  );
}

/** A setting cut through, with the height that the step is about. */
function Section({ stone, ...drawn }: Drawn & { readonly stone: string | null }) {
  const { plan, mount, label, width, height, step } = drawn;
  const setting = plan.drawing.settings[mount]!;
  const text = step.target === null ? null : told(drawn, step.target);
  const measure = text && step.code === "set.height" ? { from: 0, to: setting.section.wall.height, text } : null;
  return <SectionPicture {...{ width, height, label, stone, measure }} drawing={setting} />;
}

/** What is filed so deep as the step's figure says. */
const DEEP: ReadonlySet<string> = new Set(["hoop.flat", "hoop.saddle"]);

/** The hoop along the finger with its inside; whole with all that is on it. */
function HoopPicture({ isWhole, ...drawn }: Drawn & { readonly isWhole: boolean }) {
  const { plan, label, width, height, step } = drawn;
  const hoop = hoopIn(plan)?.drawn;
  const { settings } = plan.drawing;
  if (!hoop) return isWhole ? <Hanging {...drawn} /> : null;
  const on = isWhole || step.code === "hoop.saddle" ? Object.keys(settings) : [];
  const isFiled = plan.steps.indexOf(step) >= plan.steps.findIndex(({ code }) => code === "hoop.flat");
  const shown = { settings: on, isFiled };
  const inside = isWhole ? null : told(drawn, "hoop.insideDiameter");
  const target = step.target !== null && DEEP.has(step.code) ? told(drawn, step.target) : null;
  return (
    <Frame
      {...{ width, height, label }}
      margin={target && !isWhole ? 40 : 16}
      box={boxAlong(hoop, settings, shown)}
      shapes={({ perMm }) => <HoopAlong hoop={hoop} settings={settings} shown={shown} perMm={perMm} />}
      words={({ px }) => (
        <>
          {inside && (
            <Measure from={px([-hoop.inside, 0])} to={px([hoop.inside, 0])} text={inside} isChief={step.target === "hoop.insideDiameter"} />
          )}
          {target && !isWhole && (
            <text x={width / 2} y={22} textAnchor="middle" fontSize={17} fontWeight={700} fill="var(--color-glow)">
              {pictureText.deep(target)}
            </text>
          )}
        </>
      )}
    />
  );
}

/** What hangs, from the front, with the eye on its edge. */
function Hanging(drawn: Drawn) {
  const { plan, mount, label, fill, width, height } = drawn;
  const { settings } = plan.drawing;
  const { host } = settings[mount]!;
  const setting = settings[host]!;
  const shown = { plate: setting.plan.back.plate !== null, wall: true, stone: false, layers: setting.plan.layers.map(({ part }) => part) };
  const eyes = bailIn(plan)?.drawn.hangs.find((hang) => hang.mount === host)?.eyes ?? [];
  const post = postIn(plan)?.drawn;
  return (
    <Frame
      {...{ width, height, label }}
      margin={34}
      box={boxAbove(setting, shown)}
      shapes={() => (
        <>
          <SettingAbove drawing={setting} shown={shown} fill={fill} />
          <SharersAbove settings={settings} host={host} fill={null} />
        </>
      )}
      words={({ px }) => (
        <>
          {eyes.map(({ edge }, i) => (
            <Spot key={i} at={px(edge)} text={namesIn(plan).part("bail")} />
          ))}
          {post && <Spot at={px(post.at)} text={namesIn(plan).part("post")} />}
        </>
      )}
    />
  );
}

/** Room for the bar of the flame's shares, in pixels. */
const BAR = 44;

/** What lies on the block in the step's heat; at the flame, the parts that share it. */
function AtHeat({ isLaid, ...drawn }: Drawn & { readonly isLaid: boolean }) {
  const { plan, step, label, width, height } = drawn;
  const heat = heatOf(plan, step.joints[0] ?? step.part)?.heat ?? heatOf(plan, String(step.values.joint ?? ""))?.heat;
  if (!heat) return <HoopPicture {...drawn} isWhole />;
  const isLit = isHeating(step);
  const room = isLit && heat.flame.length > 1 ? BAR : 0;
  return (
    <>
      <div style={{ height: height - room }}>
        <HeatPicture {...{ plan, heat, label, isLaid, width }} height={height - room} />
      </div>
      {isLit && <FlameBar heat={heat} part={namesIn(plan).part} />}
    </>
  );
}
