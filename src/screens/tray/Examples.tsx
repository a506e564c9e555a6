"use client";

import { useEffect, useState } from "react";
import { type Example } from "@demo/examples";
import { type BenchEntry } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import { PiecePicture } from "@/ui/pictures/PiecePicture";
import { StoneFill } from "@/ui/StoneFill";
import { usePlans } from "@/ui/planner";
import { loadExamples } from "../lazy-data";

interface Props {
  readonly bench: BenchEntry;
  readonly onExample: (example: Example) => void;
}

interface Made {
  readonly example: Example;
  readonly piece: Piece;
}

/** Every form as a worked example with its picture, to open and change. */
export function Examples({ bench, onExample }: Props) {
  const plans = usePlans();
  const [made, setMade] = useState<readonly Made[]>([]);
  useEffect(() => {
    let isGone = false;
    void loadExamples().then(({ EXAMPLES, examplePiece }) => {
      if (!isGone) setMade(EXAMPLES.map((example) => ({ example, piece: examplePiece(example, "example", bench) })));
    });
    return () => {
      isGone = true;
    };
  }, [bench]);
  return (
    <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-6">
      <svg width={0} height={0} aria-hidden="true" className="absolute">
        <StoneFill id="example-stone" material="agate" />
      </svg>
      {made.map(({ example, piece }) => {
        const attempt = plans.soon(piece, bench);
        return (
          <li key={example.name}>
            <button
              type="button"
              onClick={() => onExample(example)}
              className="h-full w-full rounded-md border border-line bg-sheet px-2 py-2 text-center hover:border-ink focus-visible:border-ink"
            >
              <span aria-hidden="true" className="mx-auto block h-16">
                {attempt?.ok && <PiecePicture plan={attempt.plan} label={example.name} fill="example-stone" width={110} height={56} />}
              </span>
              <b className="block text-sm leading-tight font-strong">{example.name}</b>
              <span className="block text-xs leading-tight text-soft">{example.says}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
