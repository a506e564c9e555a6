"use client";

import { type Curve, boxOf } from "@/core/geometry/curve";
import { type StepCode, isHeating } from "@/core/making/step";
import { type Plan, type PlannedHeat, type PlannedJoint, bailIn, hoopIn, sharersOf } from "@/core/piece/plan";
import { type SolderPlace, solderPlaces } from "@/core/piece/solder-places";
import { Shape } from "../Drawing";
import { type Shown, Pallions, SettingAbove, boxAbove } from "./Above";
import { HoopAlong, boxAlong } from "./Along";
import { Frame, type Pixels, boxRound, sideBySide } from "./Frame";
import { HungShapes, boxHung } from "./Hung";

interface Props extends Pixels {
  readonly plan: Plan;
  readonly heat: PlannedHeat;
  readonly label: string;
  /** Whether its solder is laid yet. */
  readonly isLaid?: boolean;
}

/** What lies on the block in a heat, as it lies: the parts that are heated, and each pallion in its place. */
export function HeatPicture({ plan, heat, label, isLaid = true, ...size }: Props) {
  const joints = heat.joints.flatMap((id) => plan.joints.filter((joint) => joint.id === id));
  const places = isLaid ? joints.map((joint, i) => ({ joint, side: heat.solder[i]?.size[0] ?? 0, places: solderPlaces(plan, joint) })) : [];
  const isAlong = joints.some((joint) => isOnHoop(plan, joint));
  const bail = bailIn(plan)?.drawn;
  const isBailAlone = bail && heat.flame.every(({ part }) => plan.parts.some(({ id, mount }) => id === part && mount === null));
  if (isBailAlone) return <Front front={bail.front} label={label} {...size} />;
  return isAlong ? (
    <Along plan={plan} heat={heat} label={label} laid={places} {...size} />
  ) : (
    <Above plan={plan} heat={heat} joints={joints} label={label} laid={places} {...size} />
  );
}

/** What a setting hangs by, before it is joined to it. */
function Front({ front, label, ...size }: Pixels & { readonly front: readonly Curve[]; readonly label: string }) {
  return (
    <Frame
      {...size}
      label={label}
      box={boxOf(front[0]!)}
      shapes={() => <Shape curves={front} fill="url(#metal)" stroke="var(--color-metal-edge)" />}
    />
  );
}

interface Laid {
  readonly side: number;
  readonly places: readonly SolderPlace[];
}

/** Whether a joint is of the hoop, so that the piece is seen along the finger. */
function isOnHoop(plan: Plan, joint: PlannedJoint): boolean {
  return hoopIn(plan) !== null && joint.parts.some((id) => plan.parts.some((part) => part.id === id && part.mount === null));
}

interface ViewProps extends Pixels {
  readonly plan: Plan;
  readonly heat: PlannedHeat;
  readonly label: string;
  readonly laid: readonly Laid[];
}

function Along({ plan, heat, label, laid, ...size }: ViewProps) {
  const hoop = hoopIn(plan)!.drawn;
  const { settings } = plan.drawing;
  const heated = new Set(heat.flame.map(({ part }) => part));
  const on = Object.keys(settings).filter((id) => plan.parts.some((part) => part.mount === id && heated.has(part.id)));
  const shown = { settings: on, isFiled: isPast(plan, heat, "hoop.flat") };
  return (
    <Frame
      {...size}
      box={boxAlong(hoop, settings, shown)}
      label={label}
      shapes={({ perMm }) => (
        <>
          <HoopAlong hoop={hoop} settings={settings} shown={shown} perMm={perMm} />
          {laid.map(({ places, side }, i) => (
            <Pallions key={i} places={places.filter(({ view }) => view === "along")} side={side} />
          ))}
        </>
      )}
    />
  );
}

/** mm between two settings that are heated at once. */
const BESIDE = 4;

function Above({ plan, heat, joints, label, laid, ...size }: ViewProps & { readonly joints: readonly PlannedJoint[] }) {
  const { settings } = plan.drawing;
  const mounts = [...new Set(joints.map(({ mount }) => mount))].filter((id) => id !== null);
  const own = mounts.length > 0 ? mounts : Object.keys(settings).slice(0, 1);
  const groups = onOneBlock(plan, heat, own);
  const isBailThere = heat.flame.some(({ part }) => plan.parts.some(({ id, mount }) => id === part && mount === null));
  const bail = isBailThere ? bailIn(plan)?.drawn : undefined;
  const views = groups.map((ids) => ({
    ids,
    all: ids.map((id) => ({ id, shown: shownIn(plan, heat, id), drawing: settings[id]! })),
    hang: bail?.hangs.find(({ mount }) => ids.includes(mount)),
  }));
  const boxes = views.map(({ all, hang }) =>
    boxRound([
      ...all.map(({ drawing, shown }) => boxAbove(drawing, shown)),
      ...(bail && hang ? hang.eyes.map((eye) => boxHung(eye, bail)) : []),
    ]),
  );
  const { moves, box } = sideBySide(boxes, BESIDE);
  return (
    <Frame
      {...size}
      box={box}
      label={label}
      shapes={() =>
        views.map(({ ids, all, hang }, i) => (
          <g key={ids[0]} transform={`translate(${moves[i]!} 0)`}>
            {bail && hang && <HungShapes hang={hang} drawn={bail} />}
            {all.map(({ id, shown, drawing }) => (
              <SettingAbove key={id} drawing={drawing} shown={shown} fill="stone" />
            ))}
            {laid.map(({ places, side }, n) =>
              joints[n]!.mount === null || ids.includes(joints[n]!.mount) ? (
                <Pallions key={n} places={places.filter(({ view }) => view === "above")} side={side} />
              ) : null,
            )}
          </g>
        ))
      }
    />
  );
}

/** Settings as they lie on the block: those whose plate is heated with it, the one that has the plate first; any other by itself. */
function onOneBlock(plan: Plan, { flame }: PlannedHeat, mounts: readonly string[]): string[][] {
  const { settings } = plan.drawing;
  const isHeated = (id: string) => flame.some(({ part }) => plan.parts.some((each) => each.id === part && each.mount === id));
  const plates = new Set(flame.map(({ part }) => part));
  const hosts = mounts.map((id) => (plates.has(settings[id]!.plan.back.plate ?? "") ? settings[id]!.host : id));
  return [...new Set(hosts)].map((host) => [
    host,
    ...sharersOf(settings, host).flatMap(([id]) => (isHeated(id) && plates.has(settings[host]!.plan.back.plate ?? "") ? [id] : [])),
  ]);
}

/** Whether a step is done before a heat; one that the piece has not counts as done. */
function isPast(plan: Plan, heat: PlannedHeat, code: StepCode, part?: string): boolean {
  const at = plan.steps.findIndex((step) => isHeating(step) && step.joints[0] === heat.joints[0]);
  return plan.steps.findIndex((step) => step.code === code && (part === undefined || step.part === part)) < at;
}

/** What of a setting is on the block in a heat. */
function shownIn(plan: Plan, heat: PlannedHeat, mount: string): Shown {
  const heated = plan.parts.filter((part) => part.mount === mount && heat.flame.some((share) => share.part === part.id));
  const has = (kind: string) => heated.some((part) => part.kind === kind);
  return {
    plate: has("plate"),
    isBlank: !isPast(plan, heat, "plate.saw", mount),
    wall: has("wall"),
    stone: false,
    layers: heated.map(({ id }) => id),
  };
}
