"use client";

import {
  type Announcements,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  type UniqueIdentifier,
  closestCenter,
  useSensor,
  useSensors,
} from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical, Plus } from "lucide-react";
import { type LayerType } from "@/core/mount/layers/layer";
import { ornamentOf } from "@/core/piece/mounts";
import { type Mount } from "@/core/piece/piece";
import { usePlan } from "@/ui/plan";
import { useSession } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { LAYER_NAMES, capital } from "@/words/names";
import { type SaidOrnament } from "@/words/ornament";
import { editable, freeOrnamentId, newOrnament } from "./ornament-edit";
import { listed } from "./view";
import { ornamentListText } from "@/words/screens/plate";

const TYPES: readonly LayerType[] = ["wire", "twist", "bead-wire", "granules"];

interface Props {
  readonly mount: Mount;
  readonly chosen: string | null;
  readonly onChoose: (id: string | null) => void;
}

/** What goes round the wall, from the wall outward: chosen by a press, put in another order by drag or with the keys. */
export function OrnamentList({ mount, chosen, onChoose }: Props) {
  const session = useSession();
  const plan = usePlan();
  const units = useUnits();
  const rows = listed(plan, mount, units);
  const ids = rows.map(({ entry }) => entry.id);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const move = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over.id))];
    session.change((piece) => {
      const ornament = editable(piece, mount.id);
      ornament.splice(to, 0, ...ornament.splice(from, 1));
    });
  };
  const add = (type: LayerType) => {
    const id = freeOrnamentId(ornamentOf(mount), LAYER_NAMES[type]);
    const refused = session.change((piece) => void editable(piece, mount.id).push(newOrnament(type, id)));
    if (refused === null) onChoose(id);
  };
  return (
    <>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={move}
        accessibility={{ announcements: spokenFor(rows), screenReaderInstructions: { draggable: HOW_TO_MOVE } }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ul aria-label={ornamentListText.roundTheBezelFromThe}>
            {rows.map(({ entry, said }) => (
              <Row
                key={entry.id}
                id={entry.id}
                said={said}
                isChosen={entry.id === chosen}
                onChoose={() => onChoose(entry.id === chosen ? null : entry.id)}
              />
            ))}
          </ul>
        </SortableContext>
      </DndContext>
      <div className="flex flex-wrap gap-1.5 border-t border-hair py-1.5">
        {TYPES.map((type) => (
          <button key={type} type="button" className="btn btn-small" onClick={() => add(type)}>
            <Plus size={13} aria-hidden="true" /> {capital(LAYER_NAMES[type])}
          </button>
        ))}
      </div>
    </>
  );
}

const HOW_TO_MOVE = ornamentListText.spacePicksItUpThe;

/** What a screen reader is told while one is moved. */
function spokenFor(rows: ReturnType<typeof listed>): Announcements {
  const name = (id: UniqueIdentifier) => rows.find(({ entry }) => entry.id === id)?.said.name ?? String(id);
  const place = (id: UniqueIdentifier) =>
    ornamentListText.placeOfFromTheBezel(rows.findIndex(({ entry }) => entry.id === id) + 1, rows.length);
  return {
    onDragStart: ({ active }) => ornamentListText.isHeld(name(active.id)),
    onDragOver: ({ active, over }) => (over ? ornamentListText.goesTo(name(active.id), place(over.id)) : undefined),
    onDragEnd: ({ active, over }) => ornamentListText.liesAt(name(active.id), place((over ?? active).id)),
    onDragCancel: ({ active }) => ornamentListText.isBackWhereItWas(name(active.id)),
  };
}

interface RowProps {
  readonly id: string;
  readonly said: SaidOrnament;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

function Row({ id, said, isChosen, onChoose }: RowProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`flex items-center border-t border-hair ${isChosen ? "bg-accent-wash shadow-chosen" : ""}`}
    >
      <button
        type="button"
        className="grid h-9.5 w-7 shrink-0 cursor-grab touch-none place-items-center text-soft max-lg:h-touch max-lg:w-touch"
        {...attributes}
        {...listeners}
        aria-label={ornamentListText.move(said.name.toLowerCase())}
      >
        <GripVertical size={14} aria-hidden="true" />
      </button>
      <button
        type="button"
        aria-pressed={isChosen}
        onClick={onChoose}
        className="grid min-w-0 flex-1 grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-2 py-1 text-left text-sm max-lg:min-h-touch"
      >
        <b className="font-strong">{said.name}</b>
        <b className="font-strong">{said.cut}</b>
        <small className="narrow col-span-2 text-xs text-soft">{said.what}</small>
      </button>
    </li>
  );
}
