"use client";

import { useEffect, useMemo } from "react";
import { useRouter, useSearchParams } from "next/navigation";
import Link from "next/link";
import { LESSONS, type Lesson } from "@/core/practice/lessons";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { type TryFile, pieceOfTry } from "@/formats/flame-file";
import { isSame } from "@/core/measure/same";
import { useModule } from "@/ui/module";
import { NavBar } from "@/ui/NavBar";
import { useTitle } from "@/ui/title";
import { useTray, useTrayState } from "@/ui/tray";
import { LESSON_TEXTS } from "@/words/practice";
import { lessonsText } from "@/words/screens/practice";
import { loadDemoPieces } from "../lazy-data";
import { Practised } from "./PracticeScreen";
import { isWonAt } from "./scene";

interface Laid {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly index: number;
}

/** Each lesson's piece, its plan and which of its heats it is; a piece is planned once. */
const loadLessonPlans = async () => {
  const { DEMO_PIECES } = await loadDemoPieces();
  const planned = new Map<string, Plan>();
  const planOf = (piece: Piece): Plan => {
    const plan = planned.get(piece.id) ?? planPiece(piece, SHIPPED_BENCH);
    planned.set(piece.id, plan);
    return plan;
  };
  return {
    laidFor: ({ piece: id, joint }: Lesson): Laid => {
      const piece = DEMO_PIECES.find((each) => each.id === id)!;
      const plan = planOf(piece);
      return { piece, plan, index: plan.heats.findIndex(({ joints }) => joints.includes(joint)) };
    },
  };
};

type LessonPlans = Awaited<ReturnType<typeof loadLessonPlans>>;

/** Whether a try is of a lesson as it is given, and won. */
function isWonLesson({ isBare, joint }: Lesson, laid: Laid, tried: TryFile): boolean {
  const beganBare = tried.acts[0]?.ms === 0 && tried.acts[0].do === "clean";
  if (!tried.joints.includes(joint) || beganBare !== (isBare ?? false) || !isWonAt(tried, laid)) return false;
  return isSame(tried.pieceFile, pieceOfTry(laid.piece, SHIPPED_BENCH));
}

/** Seven lessons with the flame, each with one thing to learn, on pieces that ship with the app: no piece of one's own is needed. */
export function LessonsScreen() {
  useTitle(lessonsText.practise);
  const asked = useSearchParams().get("lesson");
  const lesson = LESSONS.find(({ id }) => id === asked);
  return lesson ? <AtLesson lesson={lesson} /> : <LessonList />;
}

function AtLesson({ lesson }: { readonly lesson: Lesson }) {
  const router = useRouter();
  const plans = useModule(loadLessonPlans);
  if (!plans) return <main className="min-h-dvh bg-night" />;
  const { plan, piece, index } = plans.laidFor(lesson);
  const leave = () => router.push("/practice");
  return (
    <Practised
      key={lesson.id}
      plan={plan}
      index={index}
      piece={piece}
      bench={SHIPPED_BENCH}
      lesson={LESSON_TEXTS[lesson.id]}
      isBare={lesson.isBare ?? false}
      onLeave={leave}
    />
  );
}

const LESSON_PIECES = [...new Set(LESSONS.map(({ piece }) => piece))];

/** Which lessons have been won, by the tries kept; none before they are read. */
function useWon(): ReadonlySet<Lesson["id"]> {
  const tray = useTray();
  const plans: LessonPlans | null = useModule(loadLessonPlans);
  const tries = useTrayState((state) => state.tries);
  useEffect(() => {
    for (const piece of LESSON_PIECES) void tray.readTries(piece);
  }, [tray]);
  return useMemo(() => {
    const won = (lesson: Lesson) =>
      plans !== null && (tries[lesson.piece] ?? []).some(({ tried }) => isWonLesson(lesson, plans.laidFor(lesson), tried));
    return new Set(LESSONS.filter(won).map(({ id }) => id));
  }, [plans, tries]);
}

function LessonList() {
  const won = useWon();
  return (
    <>
      <NavBar />
      <main className="mx-auto max-w-225 px-4 py-5">
        <h1 className="text-2xl font-bold">{lessonsText.heading}</h1>
        <p className="mt-1 mb-4 max-w-160 text-soft">{lessonsText.lead}</p>
        <ol className="border-t border-hair">
          {LESSONS.map(({ id }, i) => (
            <li key={id} className="border-b border-hair">
              <Link
                href={`/practice?lesson=${id}`}
                className="grid min-h-touch grid-cols-[32px_1fr] items-baseline gap-x-2 px-2 py-2.5 hover:bg-accent-wash"
              >
                <b className="text-lg text-soft">{i + 1}</b>
                <span>
                  <b className="block text-lg font-strong">
                    {LESSON_TEXTS[id].title} {won.has(id) && <span className="text-sm text-ok">{lessonsText.won}</span>}
                  </b>
                  <span className="text-soft">{LESSON_TEXTS[id].text}</span>
                </span>
              </Link>
            </li>
          ))}
        </ol>
        <p className="mt-4 text-sm text-soft">{lessonsText.ofYourOwn}</p>
      </main>
    </>
  );
}
