"use client";

import { scaleLinear } from "d3";
import { useMemo } from "react";
import { type Learned } from "@/core/piece/ledger";
import { useNotices } from "@/ui/notices";
import { useTray, useTrayState } from "@/ui/tray";
import { useSize } from "@/ui/useSize";
import { CUT_NAMES } from "@/words/ledger";
import { counted } from "@/words/names";
import { type Units, lengthUnit, showLength } from "@/words/show";
import { nextCut, withMine } from "./next-cut";

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
  const others = (bench.allowances ?? []).filter(({ kind }) => kind !== learned.kind);
  const length = (mm: number) => showLength(mm, "measured", units);
  const blank = (mm: number) => showLength(mm, learned.kind === "hoop.length" ? "blank" : "measured", units);
  return (
    <section aria-label="What is cut next" className="border-t border-line bg-paper px-[18px] pt-2.5 pb-3 max-lg:px-3.5">
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-2">
        {next && (
          <p className="flex min-w-0 flex-wrap items-baseline gap-x-2">
            <span className="min-w-0 text-[12.5px] [overflow-wrap:anywhere] text-soft">
              Next, {next.piece.name}
              {next.wanted && `, ${next.wanted}`}: {CUT_NAMES[learned.kind]}
            </span>
            <s className="text-[20px] font-semibold text-soft [font-stretch:92%]">{blank(next.now.length)}</s>
            <span className="text-[12.5px] text-soft">becomes</span>
            <span className="big">{blank(next.mine.length)}</span>
            <span className="text-[15px] text-soft">{lengthUnit(units)}</span>
          </p>
        )}
        {next && (
          <p className="text-[13px] text-soft">
            <b className="font-semibold text-ink">{length(next.net)}</b> finished{" "}
            <b className="font-semibold text-ink">+ {length(learned.estimate)}</b> yours, from {counted(learned.kept.length, "make")} ={" "}
            <b className="font-semibold text-ink">{length(next.net + learned.estimate)}</b>
          </p>
        )}
        <span className="ml-auto flex flex-wrap gap-2">
          {used && (
            <button type="button" className="btn max-lg:h-[44px]" onClick={() => change("The standard figure is used again", others)}>
              Go back to the standard {length(learned.prior)}
            </button>
          )}
          {isUsed ? (
            <span className="self-center text-[13px] font-semibold text-accent">✓ Yours is used</span>
          ) : learned.kept.length >= OFFERED_FROM ? (
            <button
              type="button"
              className="btn btn-main h-[34px] max-lg:h-[44px]"
              onClick={() => change("Your own figure is used from now on", [...(withMine(bench, learned).allowances ?? [])])}
            >
              {used ? `Use the newest: ${length(learned.estimate)}` : "Use mine from now on"}
            </button>
          ) : (
            <span className="self-center text-[13px] text-soft">You can use it after {counted(OFFERED_FROM, "make")}</span>
          )}
        </span>
      </div>
      {next && <Bars next={next} learned={learned} units={units} />}
      <p className="mt-1 text-[12.5px] text-soft">
        The standard figure still counts as 3 makes.
        {learned.outliers.length > 0 && ` ${counted(learned.outliers.length, "make")} left out: too far from the others.`}
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
    { cut: next.now, y: 14, tall: 24, faint: true, word: `cut ${show(next.now.length)}, with the standard ${show(learned.prior)}` },
    { cut: next.mine, y: 52, tall: 36, faint: false, word: `cut ${show(next.mine.length)}, with yours` },
  ];
  const wanted = x(next.net);
  return (
    <div ref={ref} className="mt-1">
      <svg
        width={width}
        height={TALL}
        role="img"
        aria-label={`Cut ${show(next.mine.length)} in place of ${show(next.now.length)}`}
        className="block"
      >
        <rect x={0.5} y={90} width={Math.max(0, width - 1)} height={50} rx={2} fill="#eceeec" stroke="#b9c1c4" />
        {ticks.map((i) => {
          const at = x(i * fine * unit);
          return (
            <g key={i}>
              <line
                x1={at}
                x2={at}
                y1={90}
                y2={90 + (i % 10 === 0 ? 24 : i % 5 === 0 ? 17 : 9)}
                stroke="#39444a"
                strokeWidth={i % 5 === 0 ? 1 : 0.7}
              />
              {i % 10 === 0 && (
                <text x={at + 4} y={130} fontSize={15} fontWeight={640} fill="#2a3439">
                  {Number((i * fine).toFixed(2))}
                </text>
              )}
            </g>
          );
        })}
        <line x1={wanted} x2={wanted} y1={0} y2={90} stroke="#0b5d66" strokeWidth={1.6} strokeDasharray="5 3" />
        {bars.map(({ cut, y, tall, faint, word }) => {
          const [lands, end] = [x(cut.lands), x(cut.length)];
          const inside = cut.size === "" ? `finished ${show(cut.lands)}` : `comes out ${cut.size}`;
          const fitsRight = end + 10 + word.length * 6.6 < width;
          return (
            <g key={y}>
              <rect
                x={0.5}
                y={y}
                width={Math.max(0, lands - 0.5)}
                height={tall}
                fill="#d6dcdf"
                stroke="#6f7a7e"
                strokeWidth={0.8}
                opacity={faint ? 0.62 : 1}
              />
              <rect
                x={lands}
                y={y}
                width={Math.max(0, end - lands)}
                height={tall}
                fill="#f2c48d"
                stroke="#8a6a3c"
                strokeWidth={0.8}
                opacity={faint ? 0.62 : 1}
              />
              {isRoomy && (
                <text x={lands - 9} y={y + tall / 2 + 4.5} textAnchor="end" fontSize={13} fontWeight={640} fill="#1b2225">
                  {inside}
                </text>
              )}
              {end - lands > 110 && (
                <text x={(lands + end) / 2} y={y + tall / 2 + 4.5} textAnchor="middle" fontSize={12.5} fill="#5a3a10">
                  {show(estimate)} comes off
                </text>
              )}
              <path d={`M${end} ${y - 1}l-5 -8h10z`} fill={faint ? "#5b6769" : "#1b2225"} />
              <line x1={end} x2={end} y1={y - 2} y2={faint ? y + tall : 114} stroke={faint ? "#5b6769" : "#1b2225"} strokeWidth={1.5} />
              {isRoomy && fitsRight && (
                <text x={end + 10} y={y + tall / 2 + 4.5} fontSize={13} fontWeight={660} fill={faint ? "#5b6769" : "#1b2225"}>
                  {word}
                </text>
              )}
            </g>
          );
        })}
        <text x={wanted - 7} y={10} textAnchor="end" fontSize={12.5} fontWeight={640} fill="#0b5d66">
          {next.wanted === "" ? "wanted" : `${next.wanted}, wanted`}
        </text>
        {spread !== null && (
          <path
            d={`M${x(next.net - spread)} 41v8M${x(next.net + spread)} 41v8M${x(next.net - spread)} 45H${x(next.net + spread)}`}
            stroke="#0b5d66"
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
      <path d={line} stroke="#eef1f0" strokeWidth={13} />
      {[-6.5, 6.5].map((by) => (
        <path key={by} d={line} stroke="#9aa5a8" transform={`translate(${by} 0)`} />
      ))}
    </g>
  );
}
