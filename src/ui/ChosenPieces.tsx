"use client";

import { type ReactNode, useState } from "react";
import { type PieceChoice } from "./chosen-pieces";
import { chosenPiecesText } from "@/words/ui";
import { useHighlight } from "./highlight";

interface Props {
  /** What they are chosen for. */
  readonly label: string;
  /** How leaving one out is told, by its name. */
  readonly leaveOut: (piece: string) => string;
  /** The colour that each is told by elsewhere; of its place in the list. */
  readonly colourOf?: (place: number) => string;
  /** What a piece lights elsewhere while it is pointed at; of its id. */
  readonly lights?: (id: string) => string;
  readonly choice: Pick<PieceChoice, "records" | "others">;
  readonly onChoose: (id: string) => void;
  /** Names of those that cannot be planned, where that is told here. */
  readonly refused?: readonly string[];
}

/** How many pieces are offered at once. */
const MOST_OFFERED = 8;

/** Pieces chosen for something; others are found by a part of their name, and added. */
export function ChosenPieces({ label, leaveOut, colourOf, lights, choice: { records, others }, onChoose, refused = [] }: Props) {
  const [typed, type] = useState("");
  const found = others.filter(({ piece }) => piece.name.toLowerCase().includes(typed.trim().toLowerCase())).slice(0, MOST_OFFERED);
  return (
    <section aria-label={label} className="border-b border-line bg-paper px-4 py-2.5">
      <ul className="flex flex-wrap gap-2">
        {records.map(({ id, piece }, i) => (
          <Chosen key={id} lights={lights?.(id)} colour={colourOf?.(i)}>
            {piece.name}
            <button
              type="button"
              className="tap px-2 font-normal text-soft hover:text-ink max-lg:min-h-touch max-lg:min-w-touch print:hidden"
              aria-label={leaveOut(piece.name)}
              onClick={() => onChoose(id)}
            >
              ×
            </button>
          </Chosen>
        ))}
      </ul>
      {others.length > 0 && (
        <div className="mt-2 flex flex-wrap items-center gap-2 print:hidden">
          <input
            type="search"
            aria-label={chosenPiecesText.findAPiece}
            placeholder={chosenPiecesText.findAPiece}
            value={typed}
            onChange={(event) => type(event.target.value)}
            className="entry !w-57 !justify-start text-left !text-sm !font-normal max-lg:min-h-touch"
          />
          {found.map(({ id, piece }) => (
            <button key={id} type="button" className="btn max-lg:min-h-touch max-sm:nth-[n+5]:hidden" onClick={() => onChoose(id)}>
              + {piece.name}
            </button>
          ))}
        </div>
      )}
      {refused.length > 0 && (
        <p role="alert" className="pt-2 text-sm text-bad">
          {chosenPiecesText.refused(refused.join(", "))}
        </p>
      )}
    </section>
  );
}

interface ChosenProps {
  readonly lights: string | undefined;
  readonly colour: string | undefined;
  readonly children: ReactNode;
}

function Chosen({ lights, colour, children }: ChosenProps) {
  const { isHighlighted, handlers } = useHighlight(lights ?? "");
  const isLit = lights !== undefined && isHighlighted;
  return (
    <li
      className={`flex items-center gap-2 rounded-md border border-line py-1 pl-3 text-sm font-strong ${isLit ? "bg-accent-wash" : "bg-sheet"}`}
      style={colour === undefined ? undefined : { borderBottom: `4px solid ${colour}` }}
      {...(lights !== undefined && handlers)}
    >
      {children}
    </li>
  );
}
