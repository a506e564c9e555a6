"use client";

import { scaleLinear } from "d3";
import { FileDown } from "lucide-react";
import { Suspense, lazy, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from "react";
import { type Learned, type Observation, learnedBy } from "@/core/piece/ledger";
import { FindButton } from "@/ui/Find";
import { NavBar } from "@/ui/NavBar";
import { UnitSwitch } from "@/ui/UnitSwitch";
import { IDLE_TIMEOUT, useWhenIdle } from "@/ui/idle";
import { useKeys } from "@/ui/keys";
import { useNotices } from "@/ui/notices";
import { useOpening } from "@/ui/opening";
import { saveFile } from "@/ui/save-file";
import { useTitle } from "@/ui/title";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { useSize } from "@/ui/useSize";
import { minutesText } from "@/words/day";
import { LOSS_NAMES } from "@/words/ledger";
import { counted } from "@/words/names";
import { CompareBar } from "./CompareBar";
import { MOST_COMPARED } from "./most-compared";
import { type Asked, type Entry, type SortKey, askedFor, entryOf } from "./entries";
import { COLUMNS, LedgerRows } from "./LedgerRows";
import { LossLines, LossRule, RULE_TALL } from "./LossRule";
import { commonText } from "@/words/common";
import { ledgerScreenText } from "@/words/screens/ledger";

const loadTable = () => import("@/formats/makes-csv");
const MakeDialog = lazy(() => import("./MakeDialog").then((each) => ({ default: each.MakeDialog })));
const CompareDialog = lazy(() => import("./CompareDialog").then((each) => ({ default: each.CompareDialog })));
const NextCutView = lazy(() => import("./NextCutView").then((each) => ({ default: each.NextCutView })));

const KINDS = [
  { kind: null, name: ledgerScreenText.all },
  { kind: "ring", name: ledgerScreenText.rings },
  { kind: "pendant", name: ledgerScreenText.pendants },
  { kind: "earrings", name: ledgerScreenText.earrings },
] as const;

const NOTHING_ASKED: Asked = { search: "", kind: null, metal: null, stone: null, sort: "date", isDown: true };
/** From this width on the chart stands beside the rows (px), and so wide. */
const WIDE = 1180;
const CHART = { share: 0.36, past: 18 } as const;

/** Every making, and what the maker's hands take off. */
export function LedgerScreen() {
  const tray = useTray();
  const units = useUnits();
  const { pick } = useOpening();
  const { say } = useNotices();
  const makes = useTrayState((state) => state.makes);
  const isWhole = useTrayState((state) => state.areMakesWhole);
  const bench = useTrayState((state) => state.bench);
  useTitle(ledgerScreenText.ledger);
  useWhenIdle(tray.readRestOfMakes, IDLE_TIMEOUT);
  const [asked, ask] = useState(NOTHING_ASKED);
  const [areFiltersOpen, openFilters] = useState(false);
  const [opened, open] = useState<string | null>(null);
  const [side, setSide] = useState<ReadonlySet<string>>(new Set());
  const [isComparing, setComparing] = useState(false);
  const sideNow = useRef(side);
  useEffect(() => {
    sideNow.current = side;
  }, [side]);
  // Lines are drawn again only where what they show has changed: what they call must not change with the choice.
  const chooseSide = useCallback(
    (id: string) => {
      const next = new Set(sideNow.current);
      if (!next.delete(id)) next.add(id);
      if (next.size > MOST_COMPARED) say(ledgerScreenText.makesAtMostStandSide(MOST_COMPARED));
      else setSide(next);
    },
    [say],
  );
  const [loss, chooseLoss] = useState<string | null>(null);
  const all = useMemo(() => Object.values(makes).flat(), [makes]);
  const entries = useMemo(() => all.map(entryOf), [all]);
  const later = useDeferredValue(asked);
  const shown = useMemo(() => askedFor(entries, later), [entries, later]);
  const learned = useMemo(() => learnedBy(observedIn(entries)), [entries]);
  const chosen = learned.find((each) => keyOf(each) === loss) ?? usual(learned);
  const outliers = useMemo(() => new Set(chosen?.outliers.map((i) => chosen.observed[i]!.make)), [chosen]);
  const [ref, { width }] = useSize(1280, 600);
  const isWide = width >= WIDE;
  const chart = isWide ? Math.round(width * CHART.share) : width - 28;
  const x = useMemo(() => scaleLinear([0, mostOf(chosen)], [9, chart - CHART.past]), [chosen, chart]);
  const search = useRef<HTMLInputElement>(null);
  useKeys({ f: () => search.current?.focus() });
  const counts = useMemo(
    () => Object.fromEntries(KINDS.map(({ kind }) => [String(kind), entries.filter((each) => kind === null || each.kind === kind).length])),
    [entries],
  );
  const metals = useMemo(() => namesIn(entries, (each) => each.metals), [entries]);
  const stones = useMemo(() => namesIn(entries, (each) => each.stones), [entries]);
  const minutes = shown.reduce((sum, each) => sum + (each.minutes ?? 0), 0);
  const set = (change: Partial<Asked>) => ask((before) => ({ ...before, ...change }));
  const sortBy = (sort: SortKey) => set({ sort, isDown: asked.sort === sort ? !asked.isDown : sort !== "name" });
  const beside = [...side].flatMap((id) => entries.find(({ make }) => make.id === id) ?? []);
  const entry = opened === null ? undefined : entries.find(({ make }) => make.id === opened);
  const head = (sort: SortKey, name: string, under = "") => (
    <button
      type="button"
      onClick={() => sortBy(sort)}
      aria-pressed={asked.sort === sort}
      className={`tap ${asked.sort === sort ? "font-strong text-ink" : "hover:underline"}`}
    >
      {name} {under && <span className="block">{under}</span>}
      {asked.sort === sort ? (asked.isDown ? "↓" : "↑") : ""}
    </button>
  );
  return (
    <main className="flex min-h-dvh flex-col overflow-x-clip">
      <h1 className="sr-only">{ledgerScreenText.ledger}</h1>
      <NavBar>
        <span className="text-sm text-soft max-lg:hidden">
          {bench.name && `${bench.name}, `}
          {counted(shown.length, "make")}
          {minutes > 0 && ledgerScreenText.ofWork(minutesText(minutes))}
        </span>
        <span className="max-sm:hidden">
          <UnitSwitch />
        </span>
        <FindButton />
        <button type="button" className="btn max-sm:hidden" onClick={pick}>
          {ledgerScreenText.openFile}
        </button>
        <button
          type="button"
          className="btn btn-main max-sm:px-2"
          title={ledgerScreenText.saveAsATable}
          disabled={all.length === 0}
          onClick={() =>
            void loadTable().then(({ makesCsv }) => saveFile("hoop-ledger-makes.csv", makesCsv(shown.map((each) => each.make))))
          }
        >
          <FileDown size={16} aria-hidden="true" className="sm:hidden" />
          <span className="max-sm:sr-only">{ledgerScreenText.saveAsATable}</span>
        </button>
      </NavBar>
      <div className="flex flex-wrap items-center gap-2 border-b border-line bg-paper px-5 py-2 max-lg:px-3.5">
        <label className="flex h-8.5 w-57 items-center rounded-md border border-line bg-sheet px-2 max-lg:h-touch max-lg:flex-1">
          <input
            ref={search}
            type="search"
            value={asked.search}
            placeholder={ledgerScreenText.nameStoneNote}
            aria-label={ledgerScreenText.searchTheLedger}
            onChange={(event) => set({ search: event.target.value })}
            className="w-0 min-w-0 flex-1 bg-transparent text-sm outline-none"
          />
          <kbd className="key max-lg:hidden">F</kbd>
        </label>
        <button type="button" className="btn h-touch lg:hidden" aria-expanded={areFiltersOpen} onClick={() => openFilters((was) => !was)}>
          {ledgerScreenText.filters}
        </button>
        <div
          role="group"
          aria-label={ledgerScreenText.kind}
          className={`inline-flex rounded-md border border-line text-sm max-lg:w-full ${areFiltersOpen ? "" : "max-lg:hidden"}`}
        >
          {KINDS.map(({ kind, name }) => (
            <button
              key={name}
              type="button"
              aria-pressed={asked.kind === kind}
              onClick={() => set({ kind })}
              className={`px-2.5 py-1 first:rounded-l-sm last:rounded-r-sm max-lg:h-touch max-lg:flex-1 ${asked.kind === kind ? "bg-ink text-white" : "bg-sheet text-soft"}`}
            >
              {name} {counts[String(kind)]}
            </button>
          ))}
        </div>
        <Chooser
          isOpen={areFiltersOpen}
          label={commonText.metal}
          any={ledgerScreenText.anyMetal}
          value={asked.metal}
          options={metals}
          onChoose={(metal) => set({ metal })}
        />
        <Chooser
          isOpen={areFiltersOpen}
          label={ledgerScreenText.stone}
          any={ledgerScreenText.anyStone}
          value={asked.stone}
          options={stones}
          onChoose={(stone) => set({ stone })}
        />
        {chosen && (
          <div className="ml-auto flex items-center gap-2.5 max-lg:ml-0 max-lg:w-full">
            <b className="text-base">{ledgerScreenText.whatYourHandsTakeOff}</b>
            <select
              aria-label={ledgerScreenText.ofWhatByWhichMethod}
              value={keyOf(chosen)}
              onChange={(event) => chooseLoss(event.target.value)}
              className="btn font-semibold max-lg:h-touch max-lg:min-w-0 max-lg:flex-1"
            >
              {learned.map((each) => (
                <option key={keyOf(each)} value={keyOf(each)}>
                  {LOSS_NAMES[each.kind]}
                  {each.method === "" ? "" : `, ${each.method}`}
                </option>
              ))}
            </select>
          </div>
        )}
      </div>
      <div
        ref={ref}
        {...(all.length > 0 && { role: "table", "aria-label": ledgerScreenText.makings, "aria-rowcount": shown.length })}
        className="relative min-w-0 flex-1 overflow-x-clip bg-sheet"
      >
        {all.length === 0 && <Empty isWhole={isWhole} />}
        {all.length > 0 && (
          <div role="row" className="sticky top-0 z-10 flex items-end border-b border-metal-mid bg-sheet">
            {isWide && (
              <div
                className={`grid min-w-0 flex-1 items-end pb-1.5 pl-7 text-xs leading-tight text-soft ${COLUMNS} [&>*:nth-child(n+6)]:text-right`}
              >
                <span role="columnheader">{head("date", ledgerScreenText.date)}</span>
                <span role="columnheader">{ledgerScreenText.stones}</span>
                <span role="columnheader">{head("name", ledgerScreenText.piece)}</span>
                <span role="columnheader" className="px-2">
                  {ledgerScreenText.note}
                </span>
                <span role="columnheader">{commonText.metal}</span>
                <span role="columnheader">{ledgerScreenText.wanted}</span>
                <span role="columnheader">{ledgerScreenText.reached}</span>
                <span role="columnheader">{head("strip", commonText.strip, "lost")}</span>
                <span role="columnheader">{head("minutes", ledgerScreenText.minutes)}</span>
                <span role="columnheader" className="pr-1.5">
                  {head("hoop", ledgerScreenText.hoop, "lost")}
                </span>
              </div>
            )}
            <div role="columnheader" style={{ width: chart }} className={isWide ? "shrink-0" : "px-3.5"}>
              {chosen ? <LossRule learned={chosen} x={x} width={chart} units={units} /> : <div style={{ height: RULE_TALL }} />}
            </div>
          </div>
        )}
        <div className="relative">
          {chosen && isWide && (
            <div className="absolute inset-y-0" style={{ right: 0, width: chart }}>
              <LossLines learned={chosen} x={x} />
            </div>
          )}
          {all.length > 0 && (
            <LedgerRows
              key={String(isWide)}
              entries={shown}
              learned={chosen}
              outliers={outliers}
              x={x}
              chart={chart}
              isWide={isWide}
              isByDate={later.sort === "date"}
              units={units}
              onOpen={open}
              chosen={side}
              onChoose={chooseSide}
            />
          )}
        </div>
        {all.length > 0 && shown.length === 0 && <p className="px-5 py-6 text-soft">{ledgerScreenText.noMakeMatches}</p>}
        {!isWhole && all.length > 0 && <p className="px-5 py-2 text-sm text-soft">{ledgerScreenText.readingTheRestOfYour}</p>}
      </div>
      <div className="sticky bottom-0 z-10 max-lg:contents">
        {side.size > 0 && (
          <CompareBar entries={beside} onDrop={chooseSide} onClear={() => setSide(new Set())} onCompare={() => setComparing(true)} />
        )}
        <Suspense>{chosen && <NextCutView learned={chosen} units={units} />}</Suspense>
      </div>
      <Suspense>{entry && <MakeDialog entry={entry} onClose={() => open(null)} onCompare={() => chooseSide(entry.make.id)} />}</Suspense>
      <Suspense>{isComparing && <CompareDialog entries={beside} onClose={() => setComparing(false)} />}</Suspense>
    </main>
  );
}

/** A loss by its kind and method, as one text. */
function keyOf({ kind, method }: Learned): string {
  return JSON.stringify([kind, method]);
}

/** What is shown before something is chosen: the hoop that most makes show, else what there is. */
function usual(learned: readonly Learned[]): Learned | null {
  const most = [...learned].sort((a, b) => b.observed.length - a.observed.length);
  return most.find(({ kind }) => kind === "hoop.length") ?? most[0] ?? null;
}

/** How far the rule goes (mm). */
function mostOf(learned: Learned | null): number {
  if (!learned) return 1;
  const { prior, estimate, spread, observed } = learned;
  return 1.12 * Math.max(prior, estimate + (spread ?? 0), ...observed.map(({ value }) => value));
}

/** In loops: these are of every make, each time one changes. */
function observedIn(entries: readonly Entry[]): Observation[] {
  const all: Observation[] = [];
  for (const { observed } of entries) for (const each of observed) all.push(each);
  return all;
}

function namesIn(entries: readonly Entry[], of: (entry: Entry) => readonly string[]): string[] {
  const all = new Set<string>();
  for (const entry of entries) for (const name of of(entry)) all.add(name);
  return [...all].sort((a, b) => a.localeCompare(b));
}

interface ChooserProps {
  /** On a narrow screen it stands there only once the filters are opened. */
  readonly isOpen: boolean;
  readonly label: string;
  readonly any: string;
  readonly value: string | null;
  readonly options: readonly string[];
  readonly onChoose: (value: string | null) => void;
}

function Chooser({ isOpen, label, any, value, options, onChoose }: ChooserProps) {
  return (
    <select
      aria-label={label}
      value={value ?? ""}
      onChange={(event) => onChoose(event.target.value === "" ? null : event.target.value)}
      className={`btn max-lg:h-touch max-lg:min-w-0 max-lg:flex-1 ${isOpen ? "" : "max-lg:hidden"}`}
    >
      <option value="">{any}</option>
      {options.map((each) => (
        <option key={each} value={each}>
          {each}
        </option>
      ))}
    </select>
  );
}

function Empty({ isWhole }: { readonly isWhole: boolean }) {
  return (
    <div className="mx-auto max-w-160 px-4 py-16">
      <h2 className="text-2xl font-bold font-condensed">
        {isWhole ? ledgerScreenText.nothingIsWrittenDownYet : ledgerScreenText.openingTheLedger}
      </h2>
      {isWhole && <p className="mt-2 text-soft">{ledgerScreenText.openAPieceAndChoose}</p>}
    </div>
  );
}
