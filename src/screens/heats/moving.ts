import { benchOf } from "@/core/piece/bench";
import {
  type Announcements,
  type DragEndEvent,
  type DragOverEvent,
  type DragStartEvent,
  type KeyboardCoordinateGetter,
} from "@dnd-kit/core";
import { produce } from "immer";
import { useEffect, useState } from "react";
import { type Plan } from "@/core/piece/plan";
import { type Attempt } from "@/formats/attempt";
import { useNotices } from "@/ui/notices";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useTrayState } from "@/ui/tray";
import { movedText } from "@/words/heats";
import { capital, namesIn } from "@/words/names";
import { heatsWorker } from "./heats-worker";
import { type Moved, movePins } from "./pins";
import { movingText } from "@/words/screens/heats";

/** What is held: a whole heat, or one joint of it. */
export interface Held {
  readonly kind: "heat" | "joint";
  /** The heat it is of, from 0. */
  readonly index: number;
  readonly joints: readonly string[];
}

export const HOW_TO_MOVE = movingText.spaceTakesHoldOfIt;

export function heldName(plan: Plan, { joints }: Held): string {
  const names = namesIn(plan);
  return capital(joints.map(names.joint).join(" + "));
}

/** What letting go over a heat would wish: a heat goes before or after it, a joint into it. Null over its own. */
function movedTo(plan: Plan, held: Held, over: number): Moved | null {
  if (over === held.index) return null;
  const others = plan.heats[over]!.joints;
  return { joints: held.joints, others, where: held.kind === "joint" ? "with" : over < held.index ? "before" : "after" };
}

/** From card to card with the arrow keys. */
export const nextCard: KeyboardCoordinateGetter = (
  event,
  { currentCoordinates, context: { droppableRects, droppableContainers, over } },
) => {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.code];
  if (by === undefined) return;
  event.preventDefault();
  const cards = droppableContainers.getEnabled().map(({ id }) => id);
  const from = over ? cards.indexOf(over.id) : 0;
  const rect = droppableRects.get(cards[Math.max(0, Math.min(cards.length - 1, from + by))]!);
  return rect ? { x: rect.left + rect.width / 2, y: rect.top + rect.height / 2 } : currentCoordinates;
};

/** What the move that is held would make of the piece, planned in a worker; null until that is done. */
export type Outcome = Attempt | null;

/** Moving heats and joints: what is held, what letting go would do, and doing it. */
export function useMove() {
  const session = useSession();
  const plan = usePlan();
  const piece = useSessionState((state) => state.piece);
  const mine = useTrayState((state) => state.bench);
  const bench = benchOf(piece, mine);
  const { warn } = useNotices();
  const [held, hold] = useState<Held | null>(null);
  const [moved, moveTo] = useState<Moved | null>(null);
  const [outcome, setOutcome] = useState<Outcome>(null);
  const [failure, setFailure] = useState<Error | null>(null);
  useEffect(() => () => heatsWorker.cancel(), []);
  if (failure) throw failure;

  const preview = (next: Moved | null) => {
    moveTo(next);
    setOutcome(null);
    heatsWorker.cancel();
    if (!next) return;
    const wished = produce(piece, (each) => movePins(each, next));
    heatsWorker.ask({ piece: wished, bench, measured: [] }).then((attempt) => attempt && setOutcome(attempt), setFailure);
  };
  const letGo = () => {
    heatsWorker.cancel();
    hold(null);
    moveTo(null);
    setOutcome(null);
  };
  const heldOf = (event: { active: { data: { current?: unknown } } }) => event.active.data.current as Held;
  const targetOf = ({ over }: { over: DragOverEvent["over"] }, from: Held) =>
    over ? movedTo(plan, from, Number((over.data.current as { index: number }).index)) : null;
  const names = namesIn(plan);
  const spoken: Announcements = {
    onDragStart: ({ active }) => movingText.isHeld(heldName(plan, active.data.current as Held)),
    onDragOver: (event) => {
      const target = targetOf(event, heldOf(event));
      return target ? capital(movedText(target, names.joint)) : undefined;
    },
    onDragEnd: (event) => {
      const target = targetOf(event, heldOf(event));
      return target ? capital(movedText(target, names.joint)) : movingText.itStaysWhereItIs;
    },
    onDragCancel: () => movingText.itStaysWhereItIs,
  };
  return {
    held,
    moved,
    outcome,
    spoken,
    begin: ({ active }: DragStartEvent) => hold(active.data.current as Held),
    over: (event: DragOverEvent) => preview(targetOf(event, heldOf(event))),
    cancel: letGo,
    end: (event: DragEndEvent) => {
      const target = targetOf(event, heldOf(event));
      const isImpossible = target !== null && outcome !== null && outcome.ok && outcome.plan.heatPlan.status === "impossible";
      letGo();
      if (!target) return;
      if (isImpossible) return warn(movingText.noOrderWorksWithIt(movedText(target, names.joint)));
      session.change((each) => movePins(each, target));
      session.commit();
    },
  };
}
