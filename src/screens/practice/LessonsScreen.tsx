"use client";

import { useRouter, useSearchParams } from "next/navigation";
import Link from "next/link";
import { LESSONS, type Lesson } from "@/core/practice/lessons";
import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { useModule } from "@/ui/module";
import { NavBar } from "@/ui/NavBar";
import { useTitle } from "@/ui/title";
import { LESSON_TEXTS } from "@/words/practice";
import { lessonsText } from "@/words/screens/practice";
import { loadDemoPieces } from "../lazy-data";
import { Practised } from "./PracticeScreen";

const loadLessonPlans = async () => {
  const { DEMO_PIECES } = await loadDemoPieces();
  return {
    planOf: (lesson: Lesson): { readonly plan: Plan; readonly piece: Piece } => {
      const piece = DEMO_PIECES.find(({ id }) => id === lesson.piece)!;
      return { plan: planPiece(piece, SHIPPED_BENCH), piece };
    },
  };
};

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
  const { plan, piece } = plans.planOf(lesson);
  const index = plan.heats.findIndex(({ joints }) => joints.includes(lesson.joint));
  const leave = () => router.push("/practice");
  return (
    <Practised
      key={lesson.id}
      plan={plan}
      index={index}
      piece={piece}
      lesson={LESSON_TEXTS[lesson.id]}
      isBare={lesson.isBare ?? false}
      onLeave={leave}
    />
  );
}

function LessonList() {
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
                  <b className="block text-lg font-strong">{LESSON_TEXTS[id].title}</b>
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
