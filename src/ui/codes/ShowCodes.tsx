"use client";

import { path } from "d3-path";
import { useEffect, useState } from "react";
import { MOST_CODES, codesOf } from "@/formats/codes";
import { codesText } from "@/words/ui";
import { Dialog, DialogActions } from "../Dialog";
import { QUIET, codeSquares } from "./code-squares";

interface Props {
  readonly name: string;
  /** The file. */
  readonly text: string;
  readonly isWithoutPictures: boolean;
  readonly onClose: () => void;
}

/** A piece as codes that another device reads off the screen, one after the other. */
export function ShowCodes({ name, text, isWithoutPictures, onClose }: Props) {
  const [codes, setCodes] = useState<readonly Uint8Array[] | "working" | "too-many">("working");
  const [shown, show] = useState(0);
  useEffect(() => {
    let isAsked = true;
    void codesOf(text).then((made) => isAsked && setCodes(made ?? "too-many"));
    return () => void (isAsked = false);
  }, [text]);
  const code = Array.isArray(codes) ? (codes as readonly Uint8Array[])[shown] : undefined;
  const count = Array.isArray(codes) ? codes.length : 0;
  return (
    <Dialog title={codesText.asCodes(name)} onClose={onClose} width={460}>
      {codes === "too-many" && <p>{codesText.takesTooMany(MOST_CODES)}</p>}
      {code && (
        <>
          <p className="mb-2 text-soft">{count === 1 ? codesText.onTheOther : codesText.onTheOtherEach(count)}</p>
          <CodeDrawing code={code} label={codesText.code(shown + 1, count)} />
          {count > 1 && <p className="mt-1.5 text-center font-strong">{codesText.code(shown + 1, count)}</p>}
        </>
      )}
      {isWithoutPictures && <p className="mt-1.5 text-sm text-soft">{codesText.withoutPictures}</p>}
      <DialogActions>
        {count > 1 && (
          <button type="button" className="btn" onClick={() => show((shown + 1) % count)}>
            {codesText.nextCode}
          </button>
        )}
        <button type="button" className="btn btn-main" onClick={onClose}>
          {codesText.done}
        </button>
      </DialogActions>
    </Dialog>
  );
}

function CodeDrawing({ code, label }: { readonly code: Uint8Array; readonly label: string }) {
  const { side, isDark } = codeSquares(code);
  const squares = path();
  for (let y = 0; y < side; y += 1) for (let x = 0; x < side; x += 1) if (isDark(x, y)) squares.rect(x, y, 1, 1);
  const across = side + 2 * QUIET;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${-QUIET} ${-QUIET} ${across} ${across}`}
      shapeRendering="crispEdges"
      className="mx-auto block w-full max-w-[44vh] forced-color-adjust-none"
    >
      <rect x={-QUIET} y={-QUIET} width={across} height={across} className="fill-code-light" />
      <path d={squares.toString()} className="fill-code-dark" />
    </svg>
  );
}
