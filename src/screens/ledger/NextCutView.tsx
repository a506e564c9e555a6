"use client";

import { scaleLinear } from "d3";
import { useMemo } from "react";
import { type Learned } from "@/core/piece/ledger";
import { useNotices } from "@/ui/notices";
import { useTray, useTrayState } from "@/ui/tray";
import { useSize } from "@/ui/useSize";
import { CUT_NAMES } from "@/words/ledger";
import { counted } from "@/words/names";
import { addingUp } from "@/words/sums";
import { type Units, lengthUnit, showLength } from "@/words/show";
import { nextCut, withMine } from "./next-cut";
import { nextCutViewText } from "@/words/screens/ledger";

/** The maker is asked from so many on. */
const OFFERED_FROM = 3;
const LEFT = 12;
const TALL = 148;

/** What is cut next, with the figure that is used now and with the maker's own; "use mine" is asked here, and never taken. */
export function NextCutView({ learned, units }: { readonly learned: Learned; readonly units: Units }) {
  const tray = useTray();
  const { warn, say } = useNotices();
  const bench = useTrayState((state) => state.bench);
  const pieces = useTrayState((state) => state.pieces);
  const next = useMemo(
    () =>
      nextCut(
        pieces.filter(({ deleted }) => deleted === null).map(({ piece }) => piece),
        { ...bench, allowances: (bench.allowances ?? []).filter(({ kind }) => kind !== learned.kind) },
        learned,
      ),
    [pieces, bench, learned],
  );
  const used = bench.allowances?.find(({ kind }) => kind === learned.kind);
  const isUsed = used?.method === learned.method && Math.abs(used.value - learned.estimate) < 1e-9;
  const change = (name: string, allowances: NonNullable<typeof bench.allowances>) =>
    void tray
      .changeBench((each) => {
        if (allowances.length === 0) delete each.allowances;
        else each.allowances = [...allowances];
      })
      .then((problem) => (problem === null ? say(name) : warn(problem)));
  const others = (bench.allowances ?? []).filter(({ kind, method }) => kind !== learned.kind || method !== used?.method);
  const length = (mm: number) => showLength(mm, "measured", units);
  const [net, lost] = addingUp([next?.net ?? 0, learned.estimate], "mm", units).map(length) as [string, string];
  const blank = (mm: number) => showLength(mm, learned.kind === "hoop.length" ? "blank" : "measured", units);
  return (
    <section aria-label={nextCutViewText.whatIsCutNext} className="border-t border-line bg-paper px-5 pt-2.5 pb-3 max-lg:px-3.5">
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-2">
        {next && (
          <p className="flex min-w-0 flex-wrap items-baseline gap-x-2">
            <span className="min-w-0 text-sm [overflow-wrap:anywhere] text-soft">
              {nextCutViewText.next(next.piece.name, next.wanted && `, ${next.wanted}`, CUT_NAMES[learned.kind])}
            </span>
            <s className="text-xl font-semibold text-soft font-condensed">{blank(next.now.length)}</s>
            <span className="text-sm text-soft">{nextCutViewText.becomes}</span>
            <span className="big">{blank(next.mine.length)}</span>
            <span className="text-base text-soft">{lengthUnit(units)}</span>
          </p>
        )}
        {next && (
          <p className="text-sm text-soft">
            <b className="font-semibold text-ink">{net}</b> {nextCutViewText.finished} <b className="font-semibold text-ink">+ {lost}</b>{" "}
            {nextCutViewText.yoursFrom(counted(learned.kept.length, "make"))}{" "}
            <b className="font-semibold text-ink">{length(next.net + learned.estimate)}</b>
          </p>
        )}
        <span className="ml-auto flex flex-wrap gap-2">
          {used && (
            <button type="button" className="btn max-lg:h-touch" onClick={() => change(nextCutViewText.theStandardFigureIsUsed, others)}>
              {nextCutViewText.goBackToTheStandard(length(learned.prior))}
            </button>
          )}
          {isUsed ? (
            <span className="self-center text-sm font-semibold text-accent">{nextCutViewText.yoursIsUsed}</span>
          ) : learned.kept.length >= OFFERED_FROM ? (
            <button
              type="button"
              className="btn btn-main h-9.5 max-lg:h-touch"
              onClick={() => change(nextCutViewText.yourOwnFigureIsUsed, [...(withMine(bench, learned).allowances ?? [])])}
            >
              {used ? nextCutViewText.useTheNewest(length(learned.estimate)) : nextCutViewText.useMineFromNowOn}
            </button>
          ) : (
            <span className="self-center text-sm text-soft">{nextCutViewText.youCanUseItAfter(counted(OFFERED_FROM, "make"))}</span>
          )}
        </span>
      </div>
      {next && <Bars next={next} learned={learned} units={units} />}
      <p className="mt-1 text-sm text-soft">
        {nextCutViewText.theStandardFigureStillCounts}
        {learned.outliers.length > 0 && nextCutViewText.leftOutTooFarFrom(counted(learned.outliers.length, "make"))}
      </p>
    </section>
  );
}

interface BarsProps {
  readonly next: NonNullable<ReturnType<typeof nextCut>>;
  readonly learned: Learned;
  readonly units: Units;
}

/** Both cuts on the rule, broken between its start and where they end. */
function Bars({ next, learned, units }: BarsProps) {
  const [ref, { width }] = useSize(1200, TALL);
  const { estimate, spread } = learned;
  const ends = [next.now, next.mine].flatMap(({ length, lands }) => [length, lands]);
  const from = Math.min(...ends, next.net - (spread ?? 0)) - 1.2;
  const to = Math.max(...ends) + 1.6;
  const gap = Math.min(152, width * 0.12);
  const x = scaleLinear([from, to], [gap, width - LEFT]);
  const show = (mm: number) => showLength(mm, "measured", units);
  const unit = units.length === "inch" ? 25.4 : 1;
  const fine = units.length === "inch" ? 0.01 : 0.1;
  const ticks = Array.from(
    { length: Math.max(0, Math.floor(to / unit / fine) - Math.ceil(from / unit / fine) + 1) },
    (_, i) => Math.ceil(from / unit / fine) + i,
  );
  const isRoomy = width > 700;
  const bars = [
    { cut: next.now, y: 14, tall: 24, faint: true, word: nextCutViewText.cutWithTheStandard(show(next.now.length), show(learned.prior)) },
    { cut: next.mine, y: 52, tall: 36, faint: false, word: nextCutViewText.cutWithYours(show(next.mine.length)) },
  ];
  const wanted = x(next.net);
  return (
    <div ref={ref} className="mt-1">
      <svg
        width={width}
        height={TALL}
        role="img"
        aria-label={nextCutViewText.cutInPlaceOf(show(next.mine.length), show(next.now.length))}
        className="block"
      >
        <rect x={0.5} y={90} width={Math.max(0, width - 1)} height={50} rx={2} fill="var(--color-paper)" stroke="var(--color-metal)" />
        {ticks.map((i) => {
          const at = x(i * fine * unit);
          return (
            <g key={i}>
              <line
                x1={at}
                x2={at}
                y1={90}
                y2={90 + (i % 10 === 0 ? 24 : i % 5 === 0 ? 17 : 9)}
                stroke="var(--color-metal-deep)"
                strokeWidth={i % 5 === 0 ? 1 : 0.7}
              />
              {i % 10 === 0 && (
                <text x={at + 4} y={130} fontSize={15} fontWeight={640} fill="var(--color-metal-deep)">
                  {Number((i * fine).toFixed(2))}
                </text>
              )}
            </g>
          );
        })}
        <line x1={wanted} x2={wanted} y1={0} y2={90} stroke="var(--color-accent)" strokeWidth={1.6} strokeDasharray="5 3" />
        {bars.map(({ cut, y, tall, faint, word }) => {
          const [lands, end] = [x(cut.lands), x(cut.length)];
          const inside = cut.size === "" ? nextCutViewText.finishedAt(show(cut.lands)) : nextCutViewText.comesOut(cut.size);
          const fitsRight = end + 10 + word.length * 6.6 < width;
          return (
            <g key={y}>
              <rect
                x={0.5}
                y={y}
                width={Math.max(0, lands - 0.5)}
                height={tall}
                fill="var(--color-print-hair)"
                stroke="var(--color-metal-edge)"
                strokeWidth={0.8}
                opacity={faint ? 0.62 : 1}
              />
              <rect
                x={lands}
                y={y}
                width={Math.max(0, end - lands)}
                height={tall}
                fill="var(--color-solder-pale)"
                stroke="var(--color-wood)"
                strokeWidth={0.8}
                opacity={faint ? 0.62 : 1}
              />
              {isRoomy && (
                <text x={lands - 9} y={y + tall / 2 + 4.5} textAnchor="end" fontSize={13} fontWeight={640} fill="var(--color-ink)">
                  {inside}
                </text>
              )}
              {end - lands > 110 && (
                <text x={(lands + end) / 2} y={y + tall / 2 + 4.5} textAnchor="middle" fontSize={13} fill="var(--color-wood-dark)">
                  {nextCutViewText.comesOff(show(estimate))}
                </text>
              )}
              <path d={`M${end} ${y - 1}l-5 -8h10z`} fill={faint ? "var(--color-soft)" : "var(--color-ink)"} />
              <line
                x1={end}
                x2={end}
                y1={y - 2}
                y2={faint ? y + tall : 114}
                stroke={faint ? "var(--color-soft)" : "var(--color-ink)"}
                strokeWidth={1.5}
              />
              {isRoomy && fitsRight && (
                <text
                  x={end + 10}
                  y={y + tall / 2 + 4.5}
                  fontSize={13}
                  fontWeight={660}
                  fill={faint ? "var(--color-soft)" : "var(--color-ink)"}
                >
                  {word}
                </text>
              )}
            </g>
          );
        })}
        <text x={wanted - 7} y={10} textAnchor="end" fontSize={13} fontWeight={640} fill="var(--color-accent)">
          {next.wanted === "" ? nextCutViewText.wanted : nextCutViewText.sizeWanted(next.wanted)}
        </text>
        {spread !== null && (
          <path
            d={`M${x(next.net - spread)} 41v8M${x(next.net + spread)} 41v8M${x(next.net - spread)} 45H${x(next.net + spread)}`}
            stroke="var(--color-accent)"
            strokeWidth={2}
            fill="none"
          />
        )}
        <Break x={gap - 26} />
      </svg>
    </div>
  );
}

/** Where the rule and all on it are broken off. */
function Break({ x }: { readonly x: number }) {
  const line = `M${x} 0l7 12l-12 14l12 14l-12 14l12 14l-12 14l12 14l-12 14l12 14l-7 18`;
  return (
    <g aria-hidden="true" fill="none">
      <path d={line} stroke="var(--color-paper)" strokeWidth={13} />
      {[-6.5, 6.5].map((by) => (
        <path key={by} d={line} stroke="var(--color-metal-mid)" transform={`translate(${by} 0)`} />
      ))}
    </g>
  );
}
