"use client";

import { memo, useEffect, useLayoutEffect, useRef, useState } from "react";
import { type BenchEntry } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type Attempt } from "@/formats/attempt";
import { type Makes, lastMake } from "@/store/tray-state";
import { type PieceRecord } from "@/store/repository";
import { type Units } from "@/words/show";
import { doubtsOf } from "@/ui/doubt";
import { useStanding } from "@/ui/standing";
import { usePlans } from "@/ui/planner";
import { useIsNarrow } from "@/ui/useIsNarrow";
import { useRowsInView } from "@/ui/useRowsInView";
import { faultSentence } from "@/words/fields";
import { CELLS, type PieceRow, rowOf, stoneAndSize } from "./rows";
import { commonText } from "@/words/common";
import { pieceListText } from "@/words/screens/tray";

interface Props {
  readonly records: readonly PieceRecord[];
  readonly bench: BenchEntry;
  readonly makes: Makes;
  readonly areMakesWhole: boolean;
  readonly units: Units;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
  readonly onOpen: (id: string) => void;
  readonly stepped: Stepped | null;
}

/** A step with the arrow keys: the row it went to is brought into view and takes the focus. */
export interface Stepped {
  readonly to: string;
}

/** Height of a row in px where there is nothing to find fault with, planned or not: rows that pass by unplanned move nothing. */
const ROW = { wide: 55, narrow: 184 } as const;
/** Rows made beyond those in view, so that the next one stands there for the arrow keys. */
const BEYOND = 6;

const HEADS = [
  pieceListText.piece,
  commonText.strip,
  pieceListText.plate,
  pieceListText.hoopOrBail,
  commonText.heats,
  pieceListText.next,
] as const;

function colourOf(level: PieceRow["level"]): string {
  return level === "error" ? "text-bad" : level === "warning" ? "text-warn" : "text-soft";
}

/** Before the cells of a narrow screen, where no heads stand over them; the carrier says its own, and not every wall is a strip nor every back a plate. */
const NAMES = ["wall ", "back ", "", "heats "] as const;

/** Of the columns, in percent: they stay where they are whatever stands in them. */
const WIDTHS = [25, 14, 12, 21, 9, 19] as const;

/** The ledger's page: each piece with what is cut for it. */
export function PieceList({ records, bench, makes, areMakesWhole, units, chosen, onChoose, onOpen, stepped }: Props) {
  const plans = usePlans();
  const table = useRef<HTMLTableElement>(null);
  const [top, setTop] = useState(0);
  const isNarrow = useIsNarrow();
  const { shown, whole, measure, bring } = useRowsInView({
    count: records.length,
    height: isNarrow ? ROW.narrow : ROW.wide,
    beyond: BEYOND,
    top,
    keyOf: (i) => records[i]!.id,
  });
  useLayoutEffect(() => setTop(table.current?.offsetTop ?? 0), []);
  const taken = useRef<Stepped | null>(null);
  useEffect(() => {
    if (!stepped || taken.current === stepped) return;
    const row = table.current?.querySelector<HTMLElement>(`[data-piece="${stepped.to}"]`);
    if (!row) return bring(records.findIndex(({ id }) => id === stepped.to));
    taken.current = stepped;
    row.focus();
  });
  const [before, after] = [(shown[0]?.start ?? top) - top, whole - ((shown.at(-1)?.end ?? top) - top)];
  return (
    <table
      ref={table}
      aria-rowcount={records.length + 1}
      className="w-full table-fixed border-collapse text-sm max-md:block max-md:[&>tbody]:block"
    >
      <colgroup className="max-md:hidden">
        {WIDTHS.map((width, i) => (
          <col key={i} style={{ width: `${width}%` }} />
        ))}
      </colgroup>
      <thead className="max-md:hidden">
        <tr>
          {HEADS.map((head, i) => (
            <th
              key={head}
              scope="col"
              className={`border-b border-line pt-2.5 pb-1.5 text-sm font-medium text-soft ${i === 0 ? "pr-2 pl-5 text-left" : i === HEADS.length - 1 ? "pr-5 pl-2 text-right" : "px-1.5 text-right xl:px-2"}`}
            >
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {before > 0 && <tr aria-hidden="true" style={{ height: before }} />}
        {shown.map(({ index, key }) => {
          const record = records[index]!;
          return (
            <Row
              key={key}
              index={index}
              measure={measure}
              record={record}
              attempt={plans.soon(record.piece, bench)}
              isSettling={plans.isSettling(record.piece, bench)}
              make={lastMake(makes, record.id) ?? (areMakesWhole ? undefined : null)}
              units={units}
              isChosen={record.id === chosen}
              onChoose={onChoose}
              onOpen={onOpen}
            />
          );
        })}
        {after > 0 && <tr aria-hidden="true" style={{ height: after }} />}
      </tbody>
    </table>
  );
}

/** A mark and a word for what is gravest about a piece. */
function Level({ level }: { readonly level: PieceRow["level"] }) {
  if (!level) return null;
  return (
    <span className={colourOf(level)} title={level === "error" ? pieceListText.somethingIsWrong : pieceListText.takeCare}>
      ◆{" "}
    </span>
  );
}

interface RowProps extends Pick<Props, "units" | "onChoose" | "onOpen"> {
  readonly index: number;
  readonly measure: (row: HTMLElement | null) => void;
  readonly record: PieceRecord;
  /** Null until it is its turn to be planned. */
  readonly attempt: Attempt | null;
  readonly isSettling: boolean;
  readonly make: Make | undefined | null;
  readonly isChosen: boolean;
}

/** One piece; drawn again only when something about it changes, so that scrolling draws no more than what comes into view. */
const Row = memo(function Row({ index, measure, record, attempt, isSettling, make, units, isChosen, onChoose, onOpen }: RowProps) {
  const { id, piece } = record;
  const doubts = doubtsOf(record);
  const standing = useStanding(id);
  const row = attempt?.ok ? rowOf(piece, { plan: attempt.plan, isSettling }, make, units, doubts, standing) : null;
  return (
    <tr
      data-index={index}
      ref={measure}
      aria-rowindex={index + 2}
      aria-selected={isChosen}
      onClick={() => onChoose(id)}
      onDoubleClick={() => onOpen(id)}
      className={`border-b border-hair h-15.5 align-top max-md:grid max-md:h-auto max-md:min-h-52.5 max-md:grid-cols-2 max-md:px-1.5 max-md:py-1 ${isChosen ? "bg-accent-wash shadow-chosen" : "hover:bg-hair"}`}
    >
      <td className="py-2.5 pl-5 max-md:col-span-2 max-md:py-1 max-md:pl-2">
        <button
          type="button"
          data-piece={id}
          onFocus={() => onChoose(id)}
          onClick={() => onOpen(id)}
          className="tap block max-w-full truncate text-left font-strong max-md:min-h-touch"
          title={piece.name}
        >
          <Level level={row ? row.level : attempt ? "error" : null} />
          {piece.name}
        </button>
        <small className="block truncate text-xs text-soft">
          {attempt && !attempt.ok ? pieceListText.cannotBePlanned : stoneAndSize(piece, doubts)}
        </small>
      </td>
      {!attempt && <td colSpan={HEADS.length - 1} />}
      {attempt && !attempt.ok && (
        <td colSpan={HEADS.length - 1} className="px-2 py-2.5 pr-5 text-sm text-bad">
          {attempt.faults
            .slice(0, 2)
            .map((fault) => faultSentence(fault, units))
            .join(". ")}
          .
        </td>
      )}
      {row &&
        CELLS.map((cell, i) => (
          <td key={i} className="px-1.5 py-2.5 xl:px-2 text-right whitespace-nowrap max-md:py-1 max-md:text-left">
            <span className="text-soft md:hidden">{NAMES[i]}</span>
            {row[cell][0]}
            {row.findingAt === cell && cell !== "heats" ? (
              <small className={`block text-xs font-semibold ${colourOf(row.level)}`} title={row.finding ?? undefined}>
                ◆ {row.findingWords}
              </small>
            ) : (
              <small
                className={`block truncate text-xs md:max-xl:ml-auto md:max-xl:max-w-37 ${colourOf(cell === "heats" ? row.heatsLevel : null)}`}
                title={row[cell][1]}
              >
                {row[cell][1]}
              </small>
            )}
          </td>
        ))}
      {row && (
        <td
          className={`px-2 py-2.5 pr-5 text-right max-md:col-span-2 max-md:py-1 max-md:text-left ${row.isUnderWay ? "font-semibold text-accent" : ""}`}
        >
          {row.next}
          {row.share !== null && (
            <span aria-hidden="true" className="own-colours mt-1 ml-auto block h-1.5 w-25.5 overflow-hidden rounded-sm bg-line">
              <span className="block h-full bg-accent" style={{ width: `${row.share * 100}%` }} />
            </span>
          )}
        </td>
      )}
    </tr>
  );
});
