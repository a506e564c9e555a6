"use client";

import { useMemo, useState } from "react";
import { SHIPPED } from "@/core/piece/bench";
import { type ClassMaker, readClassList } from "@/core/piece/class-list";
import { pieceFor } from "@/core/piece/class-piece";
import { hoopIn } from "@/core/piece/plan";
import { type PieceRecord } from "@/store/repository";
import { keepOnDevice } from "@/ui/device-switch";
import { doubtsOf } from "@/ui/doubt";
import { useNotices } from "@/ui/notices";
import { usePlans } from "@/ui/planner";
import { useTrayState, useUnits } from "@/ui/tray";
import { refusedSizeText } from "@/words/kit";
import { SYSTEM_NAMES } from "@/words/names";
import { TROUBLE_WORDS } from "@/words/trouble";
import { classPagesText } from "@/words/screens/card";
import { CardPage } from "./CardPage";
import { type ClassMade, ClassSheet } from "./ClassSheet";
import { NoPage, type PrintProps } from "./NoPage";

const KEY = "hoop-ledger/class";
const MOST = 60;
const NOBODY: ClassMaker = { name: "", size: null, refused: null };
/** The field that is a guess where somebody's finger is not known. */
const SIZE = "hoop.size.value";

/** Each chosen piece for a class: who makes it, what blank each cuts, one list of all the metal and solder, and a card for each. */
export function ClassPages({ records }: PrintProps) {
  const { warn } = useNotices();
  const bench = useTrayState((state) => state.bench);
  const [text, type] = useState(() => localStorage.getItem(KEY) ?? "");
  const [more, setMore] = useState(0);
  const system = bench.sizeSystem ?? SHIPPED.sizeSystem;
  const listed = useMemo(() => readClassList(text, system, bench.mandrel ?? []), [text, system, bench.mandrel]);
  const named = useMemo(() => listed.slice(0, MOST), [listed]);
  const makers = useMemo(() => [...named, ...Array.from({ length: more }, () => NOBODY)].slice(0, MOST), [named, more]);
  return (
    <>
      <section aria-label={classPagesText.theClass} className="border-b border-line bg-paper px-4 py-3 print:hidden">
        <div className="flex flex-wrap items-start gap-4">
          <label className="w-full max-w-120 text-sm">
            {classPagesText.namesAndSizes(SYSTEM_NAMES[system])}
            <textarea
              value={text}
              rows={5}
              placeholder={classPagesText.example}
              onChange={({ target: { value } }) => {
                type(value);
                if (!keepOnDevice(KEY, value)) warn(`${TROUBLE_WORDS.full}.`);
              }}
              className="entry mt-1 !block !h-auto py-1 text-left !font-normal"
            />
          </label>
          <label className="text-sm">
            {classPagesText.moreWithoutAName}
            <input
              type="number"
              min={0}
              max={MOST - named.length}
              value={more}
              onChange={(event) => setMore(Math.min(MOST - named.length, Math.max(0, Math.floor(Number(event.target.value) || 0))))}
              className="entry mt-1 block !w-20 max-lg:h-touch"
            />
          </label>
          <div className="max-w-120 text-sm leading-text text-soft">
            <p>{classPagesText.standardLosses}</p>
            {listed.length > MOST && (
              <p role="alert" className="text-bad">
                ◆ {classPagesText.tooMany(listed.length, MOST)}
              </p>
            )}
            {named.flatMap((maker, i) => {
              const refused = refusedSizeText(maker, system);
              return refused === null
                ? []
                : [
                    <p key={i} role="alert" className="text-bad">
                      ◆ {refused}
                    </p>,
                  ];
            })}
          </div>
        </div>
      </section>
      {makers.length === 0 ? (
        <p className="px-4 py-6 text-base text-soft print:hidden">{classPagesText.sayWhoMakesIt}</p>
      ) : (
        records.map((record) => <ClassOf key={record.id} record={record} makers={makers} />)
      )}
    </>
  );
}

interface ClassProps {
  readonly record: PieceRecord;
  readonly makers: readonly ClassMaker[];
}

function ClassOf({ record, makers }: ClassProps) {
  const units = useUnits();
  const plans = usePlans();
  const bench = useTrayState((state) => state.bench);
  const theirs = useMemo(
    () => makers.map((maker) => ({ maker, piece: pieceFor(record.piece, bench, maker.size) })),
    [makers, record.piece, bench],
  );
  const planned = theirs.map(({ maker, piece }) => ({ maker, piece, attempt: plans.soon(piece, bench) }));
  const made = planned.flatMap(({ maker, piece, attempt }): ClassMade[] => {
    if (!attempt?.ok || plans.isSettling(piece, bench)) return [];
    return [{ maker, piece, plan: attempt.plan, doubtOf: doubtsOf(knownOf(record, hoopIn(attempt.plan) === null || maker.size !== null)) }];
  });
  if (made.length < makers.length)
    return <NoPage name={record.piece.name} isRefused={planned.some(({ attempt }) => attempt?.ok === false)} />;
  return (
    <>
      <ClassSheet name={record.piece.name} copies={record.piece.copies ?? 1} made={made} units={units} />
      {made.map(({ maker, piece, plan, doubtOf }, i) => (
        <CardPage
          key={i}
          piece={piece}
          plan={plan}
          units={units}
          doubtOf={doubtOf}
          revision={record.revision}
          changed={record.changed}
          maker={maker.name}
        />
      ))}
    </>
  );
}

/** What is not known of a piece as somebody else makes it: their finger's size in place of its own. */
function knownOf({ piece, unmeasured, drafts }: PieceRecord, isSizeKnown: boolean): Pick<PieceRecord, "piece" | "unmeasured" | "drafts"> {
  const { [SIZE]: _own, ...others } = drafts;
  const guessed = unmeasured.filter((field) => field !== SIZE);
  return { piece, unmeasured: isSizeKnown ? guessed : [...guessed, SIZE], drafts: others };
}
