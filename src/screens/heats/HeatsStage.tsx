"use client";

import { MoreHorizontal, X } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { type Draft as Editable } from "immer";
import { type PinEntry } from "@/core/heats/pins";
import { WAYS, fusible } from "@/core/heats/problem";
import { type HeatsEntry } from "@/core/piece/piece";
import { type Plan, type PlannedJoint } from "@/core/piece/plan";
import { SHIPPED } from "@/core/piece/bench";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { Stage } from "@/ui/Stage";
import { riseField } from "@/ui/fields";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useTrayState, useUnits } from "@/ui/tray";
import { WAY_ADVICE, overshootHint } from "@/words/heats";
import { METAL_NAMES, WAY_NAMES, capital, counted, flameName, gradeName, namesIn } from "@/words/names";
import { type Units, withUnit } from "@/words/show";
import { HeatCards } from "./HeatCards";
import { Explained } from "@/ui/Explained";
import { LadderDrawing } from "./LadderDrawing";
import { letterOf } from "./ladder";
import { WaysDialog } from "./WaysDialog";
import { type PinnedTo, addPin, optionOf, pinText, pinTo, pinnedTo, removePin } from "./pins";

/** In what order and with which solder the joints are made, and what each heat does to those before it. */
export function HeatsStage({ mount }: { readonly mount: string }) {
  return (
    <Stage
      stage="heats"
      mount={mount}
      drawing={(size) => <LadderDrawing size={size} />}
      measures={<HeatsMeasures />}
      foot={<HeatCards />}
    />
  );
}

function HeatsMeasures() {
  const session = useSession();
  const plan = usePlan();
  const bench = useTrayState((state) => state.bench);
  const pins = useSessionState(({ piece }) => piece.heats?.pins) ?? NO_PINS;
  const { way, overshoot, shelf } = plan.settled.heats;
  const [isComparing, compare] = useState(false);
  const names = namesIn(plan);
  const units = useUnits();
  const shelves = bench.shelves?.length ? bench.shelves : SHIPPED.shelves;
  const change = (recipe: (heats: Editable<HeatsEntry>) => void) =>
    session.change((piece) => {
      piece.heats ??= {};
      recipe(piece.heats);
    });
  const overshootField = riseField("heats.overshoot", units, (piece, value) => {
    piece.heats = { ...piece.heats, overshoot: value };
  });
  return (
    <>
      <h2 className="section-head">Joints</h2>
      <p className="narrow pb-1 text-[11.5px] text-soft">
        A joint made before <Explained word="gives">gives again</Explained>, then <Explained word="runs">runs</Explained>.
      </p>
      <ul>
        {plan.joints.map((joint) => (
          <JointRow key={joint.id} joint={joint} plan={plan} pins={pins} />
        ))}
      </ul>
      {pins.length > 0 && (
        <ul aria-label="Pinned" className="border-t border-hair py-1 text-[12.5px]">
          {pins.map((pin, i) => (
            <li key={i} className="flex items-center justify-between gap-2 py-px">
              <span className="min-w-0 truncate">
                <span className="text-soft">Pinned:</span> {pinText(pin, names)}
              </span>
              <button
                type="button"
                className="btn btn-plain btn-small"
                aria-label={`Unpin ${pinText(pin, names)}`}
                onClick={() => session.change((piece) => removePin(piece, i))}
              >
                <X size={14} aria-hidden="true" />
              </button>
            </li>
          ))}
        </ul>
      )}
      <h2 className="section-head mt-3">How you work</h2>
      <ChoiceField
        label="Way of grading"
        hint={WAY_ADVICE[way]}
        value={way}
        options={WAYS.map((value) => ({ value, text: capital(WAY_NAMES[value]) }))}
        onChoose={(next) => change((heats) => void (heats.way = next))}
        width="wide"
      />
      <button type="button" className="btn my-1.5 max-lg:h-[44px]" onClick={() => compare(true)}>
        Compare the five ways
      </button>
      {isComparing && <WaysDialog current={way} onClose={() => compare(false)} />}
      <MeasureField field={overshootField} label="Overshoot" explains="overshoot" hint={overshootHint(units)} value={overshoot} />
      <ChoiceField
        label="Shelf"
        hint="check your maker's sheet"
        value={shelf.id}
        options={shelves.map(({ id, grades }) => ({ value: id, text: `${capital(id)}, ${counted(grades.length, "grade")}` }))}
        onChoose={(next) => change((heats) => void (heats.shelf = next))}
        width="wide"
      />
    </>
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
  const heat = plan.heats.find(({ joints }) => joints.includes(joint.id));
  const grades = plan.settled.heats.shelf.grades.map(({ id }) => id);
  const canFuse = fusible(plan.parts.filter(({ id }) => joint.parts.includes(id)).map(({ metal }) => metal)) !== null;
  const choices: readonly { readonly to: PinnedTo; readonly text: string }[] = [
    { to: null, text: heat ? `Let the plan choose (${flameName(heat)})` : "Let the plan choose" },
    ...grades.map((grade) => ({ to: { grade }, text: `${capital(gradeName(grade))}, pinned` })),
    ...(canFuse ? [{ to: { means: "fuse" as const }, text: "Fused, pinned" }] : []),
  ];
  return (
    <li className="grid grid-cols-[22px_minmax(0,1fr)_24px] items-center gap-x-1.5 max-lg:grid-cols-[22px_minmax(0,1fr)_44px]">
      <span className="grid h-5 w-5 place-items-center rounded-[3px] bg-ink text-[12px] font-bold text-white">
        {letterOf(plan, joint.id)}
      </span>
      <ChoiceField
        label={capital(namesIn(plan).joint(joint.id))}
        hint={jointHint(joint, plan, units)}
        value={optionOf(pinnedTo(pins, joint.id))}
        options={choices.map(({ to, text }) => ({ value: optionOf(to), text }))}
        onChoose={(option) =>
          session.change((piece) => pinTo(piece, joint.id, choices.find(({ to }) => optionOf(to) === option)?.to ?? null))
        }
        width="joint"
      />
      <JointMenu joint={joint} plan={plan} grades={grades} />
    </li>
  );
}

function jointHint(joint: PlannedJoint, plan: Plan, units: Units): string {
  const metals = joint.parts.map((id) => METAL_NAMES[plan.parts.find((part) => part.id === id)!.metal]);
  return `${[...new Set(metals)].join(" to ")}, ${withUnit(joint.length, "blank", units)}`;
}

const ITEM = "cursor-pointer px-3 py-1 text-[13px] outline-none data-[highlighted]:bg-accent-wash";
const MENU = "z-50 min-w-[180px] rounded-[5px] border border-line bg-sheet py-1 shadow-lg";

/** Order, shared heats, shielding, and grades kept off a joint. */
function JointMenu({ joint, plan, grades }: { readonly joint: PlannedJoint; readonly plan: Plan; readonly grades: readonly string[] }) {
  const session = useSession();
  const names = namesIn(plan);
  const others = plan.joints.filter(({ id }) => id !== joint.id);
  const pin = (added: PinEntry) => session.change((piece) => addPin(piece, added));
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger aria-label={`More for ${names.joint(joint.id)}`} className="btn btn-plain btn-small">
        <MoreHorizontal size={14} aria-hidden="true" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className={MENU}>
          <DropdownMenu.Item className={ITEM} onSelect={() => pin({ shield: joint.id })}>
            Shield it in later heats
          </DropdownMenu.Item>
          <SubMenu
            name="Make it before"
            items={others.map(({ id }) => ({ key: id, text: names.joint(id), pin: { before: [joint.id, id] } }))}
            onPin={pin}
          />
          <SubMenu
            name="Make it together with"
            items={others.map(({ id }) => ({ key: id, text: names.joint(id), pin: { together: [joint.id, id] } }))}
            onPin={pin}
          />
          <SubMenu
            name="Never use"
            items={grades.map((id) => ({ key: id, text: gradeName(id), pin: { forbid: [joint.id, id] } }))}
            onPin={pin}
          />
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

interface SubProps {
  readonly name: string;
  readonly items: readonly { readonly key: string; readonly text: string; readonly pin: PinEntry }[];
  readonly onPin: (pin: PinEntry) => void;
}

function SubMenu({ name, items, onPin }: SubProps) {
  return (
    <DropdownMenu.Sub>
      <DropdownMenu.SubTrigger className={ITEM}>{name} ▸</DropdownMenu.SubTrigger>
      <DropdownMenu.Portal>
        <DropdownMenu.SubContent className={MENU}>
          {items.map(({ key, text, pin }) => (
            <DropdownMenu.Item key={key} className={ITEM} onSelect={() => onPin(pin)}>
              {text}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.SubContent>
      </DropdownMenu.Portal>
    </DropdownMenu.Sub>
  );
}
