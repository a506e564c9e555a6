"use client";

import { type BenchEntry } from "@/core/piece/bench";
import { type Make } from "@/core/piece/make";
import { type PieceRecord } from "@/store/keeper";
import { type Units } from "@/words/show";
import { planOf, rowOf } from "./rows";

interface Props {
  readonly records: readonly PieceRecord[];
  readonly bench: BenchEntry;
  readonly makes: Readonly<Record<string, Make>>;
  readonly units: Units;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
  readonly onOpen: (id: string) => void;
}

const HEADS = ["Piece", "Strip", "Plate", "Hoop", "Heats", "Next"] as const;

/** The ledger's page: each piece with what is cut for it. */
export function PieceList({ records, bench, makes, units, chosen, onChoose, onOpen }: Props) {
  return (
    <table className="w-full border-collapse text-[13.5px]">
      <thead>
        <tr>
          {HEADS.map((head, i) => (
            <th
              key={head}
              scope="col"
              className={`border-b border-line px-2 pt-2.5 pb-1.5 text-[12.5px] font-[520] text-soft ${i === 0 ? "pl-[18px] text-left" : i === HEADS.length - 1 ? "pr-[18px] text-right" : "text-right"}`}
            >
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {records.map(({ id, piece }) => {
          const row = rowOf(piece, planOf(piece, bench), makes[id], units);
          const isChosen = id === chosen;
          return (
            <tr
              key={id}
              aria-selected={isChosen}
              onClick={() => onChoose(id)}
              onDoubleClick={() => onOpen(id)}
              className={`border-b border-hair align-top ${isChosen ? "bg-accent-wash shadow-[inset_3px_0_0_var(--color-accent)]" : "hover:bg-hair"}`}
            >
              <td className="py-2.5 pl-[18px]">
                <button
                  type="button"
                  data-piece={id}
                  onFocus={() => onChoose(id)}
                  onClick={() => onOpen(id)}
                  className="block max-w-[260px] truncate text-left font-[640]"
                  title={piece.name}
                >
                  {row.level && (
                    <span
                      className={row.level === "error" ? "text-bad" : "text-warn"}
                      title={row.level === "error" ? "something is wrong" : "take care"}
                    >
                      ◆{" "}
                    </span>
                  )}
                  {row.piece[0]}
                </button>
                <small className="block text-[12px] text-soft">{row.piece[1]}</small>
              </td>
              {[row.strip, row.plate, row.carrier, row.heats].map(([first, second], i) => (
                <td key={i} className="px-2 py-2.5 text-right whitespace-nowrap">
                  {first}
                  <small
                    className={`block text-[12px] ${second.includes("runs") || second.includes("no order") ? "text-bad" : second.includes("softens") ? "text-warn" : "text-soft"}`}
                  >
                    {second}
                  </small>
                </td>
              ))}
              <td className={`px-2 py-2.5 pr-[18px] text-right ${row.next.startsWith("Step") ? "font-semibold text-accent" : ""}`}>
                {row.next}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
