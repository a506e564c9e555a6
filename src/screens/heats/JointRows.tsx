"use client";

import { MoreHorizontal } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { PLACINGS, usualPlacing } from "@/core/joint/placing";
import { type PinEntry, type PinnedMeans } from "@/core/heats/pins";
import { fusible } from "@/core/heats/problem";
import { type Plan, type PlannedJoint, heatOf } from "@/core/piece/plan";
import { ChoiceField } from "@/ui/ChoiceField";
import { useHighlight } from "@/ui/highlight";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { MEANS_NAMES } from "@/words/heats";
import { capital, flameName, gradeName, namesIn } from "@/words/names";
import { type Units, withUnit } from "@/words/show";
import { JointTag } from "./JointTag";
import { type PinnedTo, addPin, leaveOut, optionOf, pinTo, pinnedTo, putMeans } from "./pins";
import { jointRowsText } from "@/words/screens/heats";

/** Every joint with what it is made with, and what can be wished of it. */
export function JointRows() {
  const plan = usePlan();
  const pins = useSessionState(({ piece }) => piece.heats?.pins) ?? NO_PINS;
  return (
    <ul>
      {plan.joints.map((joint) => (
        <JointRow key={joint.id} joint={joint} plan={plan} pins={pins} />
      ))}
    </ul>
  );
}

const NO_PINS: readonly PinEntry[] = [];

interface RowProps {
  readonly joint: PlannedJoint;
  readonly plan: Plan;
  readonly pins: readonly PinEntry[];
}

function JointRow({ joint, plan, pins }: RowProps) {
  const session = useSession();
  const units = useUnits();
  const { isHighlighted, handlers } = useHighlight(joint.id);
  const heat = heatOf(plan, joint.id)?.heat;
  const grades = plan.settled.heats.shelf.grades.map(({ id }) => id);
  const isCold = joint.means === "cold";
  const choices: readonly { readonly to: PinnedTo; readonly text: string }[] = [
    {
      to: null,
      text: isCold
        ? jointRowsText.coldInNoHeat
        : heat
          ? jointRowsText.letThePlanChoose(flameName(heat))
          : jointRowsText.letThePlanChooseAny,
    },
    ...(isCold ? [] : grades.map((grade) => ({ to: { grade }, text: jointRowsText.gradePinned(capital(gradeName(grade))) }))),
    ...(!isCold && canFuse(joint, plan) ? [{ to: { means: "fuse" as const }, text: jointRowsText.fusedPinned }] : []),
  ];
  return (
    <li
      {...handlers}
      title={`${withUnit(joint.length, "blank", units)}, ${MEANS_NAMES[joint.means]}`}
      className={`grid grid-cols-[22px_minmax(0,1fr)_24px] items-center gap-x-1.5 max-lg:grid-cols-[22px_minmax(0,1fr)_44px] ${isHighlighted ? "bg-accent-wash" : ""}`}
    >
      <JointTag joint={joint.id} plan={plan} />
      <ChoiceField
        label={capital(namesIn(plan).joint(joint.id))}
        hint={plan.joints.length > ROOM_FOR_HINTS ? undefined : jointHint(joint, plan, units)}
        value={optionOf(pinnedTo(pins, joint.id))}
        shown={pinnedTo(pins, joint.id) === null && heat ? capital(flameName(heat)) : undefined}
        options={choices.map(({ to, text }) => ({ value: optionOf(to), text }))}
        onChoose={(option) =>
          session.change((piece) => pinTo(piece, joint.id, choices.find(({ to }) => optionOf(to) === option)?.to ?? null))
        }
        lights={joint.id}
        width={plan.joints.length > ROOM_FOR_TALL ? "jointLow" : "joint"}
      />
      <JointMenu joint={joint} plan={plan} grades={grades} />
    </li>
  );
}

function canFuse(joint: PlannedJoint, plan: Plan): boolean {
  return fusible(plan.parts.filter(({ id }) => joint.parts.includes(id)).map(({ metal }) => metal)) !== null;
}

/** More joints than this stand in low rows. */
const ROOM_FOR_TALL = 7;

/** More joints than this stand in the list by their names alone. */
const ROOM_FOR_HINTS = 6;

/** "45.5 mm, heat 3"; with how it is made where that is not as usual. */
function jointHint({ id, kind, mount, means, length }: PlannedJoint, plan: Plan, units: Units): string {
  const heat = plan.heats.findIndex(({ joints }) => joints.includes(id));
  const long = withUnit(length, "blank", units);
  const told = heat < 0 ? long : jointRowsText.inHeat(long, heat + 1);
  return means === usualPlacing({ kind, mount }) ? told : `${told}, ${MEANS_NAMES[means]}`;
}

const ITEM = "cursor-pointer px-3 py-1 text-sm outline-none data-highlighted:bg-accent-wash max-lg:py-2.5";
const MENU = "z-50 max-h-[60vh] min-w-51.5 overflow-y-auto rounded-md border border-line bg-sheet py-1 shadow-lg";

/** How it is made, its order, shared heats, shielding, grades kept off it, and leaving it out. */
function JointMenu({ joint, plan, grades }: { readonly joint: PlannedJoint; readonly plan: Plan; readonly grades: readonly string[] }) {
  const session = useSession();
  const names = namesIn(plan);
  const others = plan.joints.filter(({ id }) => id !== joint.id);
  const pin = (added: PinEntry) => void session.change((piece) => addPin(piece, added));
  const means: readonly PinnedMeans[] = [...PLACINGS, "cold"];
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger aria-label={jointRowsText.moreFor(names.joint(joint.id))} className="btn btn-plain btn-small">
        <MoreHorizontal size={14} aria-hidden="true" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className={MENU}>
          <SubMenu
            name="Join by"
            items={[
              { key: "usual", text: jointRowsText.theUsualWay, take: () => session.change((piece) => putMeans(piece, joint.id, null)) },
              ...means.map((each) => ({
                key: each,
                text: `${MEANS_NAMES[each]}${each === joint.means ? " ✓" : ""}`,
                take: () => session.change((piece) => putMeans(piece, joint.id, each)),
              })),
            ]}
          />
          <SubMenu
            name="Make it before"
            items={others.map(({ id }) => ({ key: id, text: names.joint(id), take: () => pin({ before: [joint.id, id] }) }))}
          />
          <SubMenu
            name="Make it together with"
            items={others.map(({ id }) => ({ key: id, text: names.joint(id), take: () => pin({ together: [joint.id, id] }) }))}
          />
          <SubMenu
            name="Never use"
            items={grades.map((id) => ({ key: id, text: gradeName(id), take: () => pin({ forbid: [joint.id, id] }) }))}
          />
          <DropdownMenu.Item className={ITEM} onSelect={() => pin({ shield: joint.id })}>
            {jointRowsText.shieldItInLaterHeats}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={() => void session.change((piece) => leaveOut(piece, joint.id))}>
            {jointRowsText.leaveItOut}
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

interface SubProps {
  readonly name: string;
  readonly items: readonly { readonly key: string; readonly text: string; readonly take: () => void }[];
}

function SubMenu({ name, items }: SubProps) {
  return (
    <DropdownMenu.Sub>
      <DropdownMenu.SubTrigger className={ITEM}>{name} ▸</DropdownMenu.SubTrigger>
      <DropdownMenu.Portal>
        <DropdownMenu.SubContent className={MENU}>
          {items.map(({ key, text, take }) => (
            <DropdownMenu.Item key={key} className={ITEM} onSelect={take}>
              {text}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.SubContent>
      </DropdownMenu.Portal>
    </DropdownMenu.Sub>
  );
}
