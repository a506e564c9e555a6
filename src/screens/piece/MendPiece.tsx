"use client";

import { type Draft as Editable } from "immer";
import { useMemo } from "react";
import { type Fault } from "@/core/piece/fault";
import { type Piece } from "@/core/piece/piece";
import { type SizeSystem } from "@/core/hoop/sizes";
import { readNumber } from "@/core/measure/reading";
import { type TypedField } from "@/store/session";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { TypedEntry } from "@/ui/TypedEntry";
import { lengthField } from "@/ui/fields";
import { useSession, useSessionState } from "@/ui/session";
import { useUnits } from "@/ui/tray";
import { fieldName, faultSentence, isLengthField } from "@/words/fields";
import { type Units } from "@/words/show";
import { SYSTEM_NAMES, capital } from "@/words/names";
import { useKeys } from "@/ui/keys";
import { TopBar } from "./TopBar";
import { useUndo } from "./undo";
import { mendPieceText } from "@/words/screens/piece";

/** There is one screen until it can be planned. */
const stay = () => undefined;

type Leaf = string | number;

const SYSTEMS: readonly SizeSystem[] = ["us", "uk", "eu", "continental", "jp", "diameter", "mandrel"];
const NAMES_ITSELF = ["format", "version", "id", "benchUsed"];

/** A piece that cannot be planned on this bench: what stands against it, and all its fields to put it right. */
export function MendPiece({ faults }: { readonly faults: readonly Fault[] }) {
  const session = useSession();
  const undoing = useUndo(null, stay);
  useKeys({ "$mod+z": undoing.undo, "$mod+Shift+z": undoing.redo, "$mod+y": undoing.redo });
  const piece = useSessionState((state) => state.piece);
  const fields = useMemo(() => leavesOf(piece), [piece]);
  const units = useUnits();
  const isAtFault = (path: string) => faults.some((fault) => fault.path === path);
  const first = [...fields.filter(({ path }) => isAtFault(path)), ...fields.filter(({ path }) => !isAtFault(path))];
  return (
    <main className="frame">
      <TopBar shows="length" undoing={undoing} />
      <section aria-label={mendPieceText.whatIsWrong} className="col-span-full row-[2/-1] overflow-y-auto bg-sheet px-6 py-5">
        <h1 className="text-2xl font-bold font-condensed">{mendPieceText.thisPieceCannotBePlanned}</h1>
        <p className="mb-3 text-sm text-soft">
          {mendPieceText.nothingIsLostAndAll(piece.benchUsed ? mendPieceText.itDoesNotWorkOut : mendPieceText.itDoesNotWorkOutOn)}
        </p>
        <ul className="mb-4 max-w-217">
          {faults.map((fault, i) => (
            <li
              key={i}
              role="note"
              aria-label={mendPieceText.wrong}
              className="mt-1.5 rounded-md bg-bad-wash px-2.5 py-2 text-sm text-melt"
            >
              <span aria-hidden="true">◆ </span>
              {faultSentence(fault, units)}.
            </li>
          ))}
        </ul>
        {piece.benchUsed && (
          <button type="button" className="btn mb-4" onClick={() => session.change((each) => void delete each.benchUsed)}>
            {mendPieceText.planItOnMyBench}
          </button>
        )}
        <div className="grid max-w-280 grid-cols-1 gap-x-10 min-[900px]:grid-cols-2">
          {first.map(({ path, value }) =>
            path === "/carrier/size/system" ? (
              <ChoiceField
                key={path}
                label={fieldName(path)}
                value={value as SizeSystem}
                options={SYSTEMS.map((system) => ({ value: system, text: capital(SYSTEM_NAMES[system]) }))}
                onChoose={(system) => session.change((each) => void put(each, path, system))}
                width="wide"
              />
            ) : (
              <MendField key={path} path={path} value={value} units={units} />
            ),
          )}
        </div>
      </section>
    </main>
  );
}

interface MendFieldProps {
  readonly path: string;
  readonly value: Leaf;
  readonly units: Units;
}

function MendField({ path, value, units }: MendFieldProps) {
  if (typeof value === "number" && isLengthField(path)) {
    return (
      <MeasureField
        field={lengthField(`mend${path}`, units, (piece, next) => put(piece, path, next))}
        label={fieldName(path)}
        value={value}
        shape="wide"
      />
    );
  }
  return <MendLeaf path={path} value={value} />;
}

/** A word, or a number that is no length. */
function MendLeaf({ path, value }: Omit<MendFieldProps, "units">) {
  const isText = typeof value === "string";
  const field = useMemo(
    (): TypedField<Leaf> => ({
      key: `mend${path}`,
      read: (text) => {
        if (isText) return { ok: true, value: text.trim() };
        const reading = readNumber(text);
        return reading.ok ? reading : { ok: false, problem: mendPieceText.isNotANumber(text.slice(0, 40)) };
      },
      write: (piece, next) => put(piece, path, next),
    }),
    [path, isText],
  );
  return (
    <TypedEntry
      field={field}
      label={fieldName(path)}
      own={String(value)}
      isSame={(text) => text === String(value)}
      lights={path}
      shape="wide"
      isText={isText}
    />
  );
}

/** The fields that hold one number or word, in the order of the file; what names the piece itself is left out. */
function leavesOf(piece: Piece): { readonly path: string; readonly value: Leaf }[] {
  const found: { path: string; value: Leaf }[] = [];
  const visit = (value: unknown, path: string) => {
    if (typeof value === "string" || typeof value === "number") found.push({ path, value });
    else if (typeof value === "object" && value !== null && !/\/(points|pins|ornament|tender)$/.test(path))
      for (const [key, inner] of Object.entries(value)) visit(inner, `${path}/${key}`);
  };
  for (const [key, value] of Object.entries(piece)) if (!NAMES_ITSELF.includes(key)) visit(value, `/${key}`);
  return found.filter(({ path }) => !/\/id$/.test(path));
}

function put(piece: Editable<Piece>, path: string, value: Leaf): void {
  const steps = path.split("/").slice(1);
  const last = steps.pop()!;
  const within = steps.reduce((at: unknown, step) => (at as Record<string, unknown>)[step], piece);
  (within as Record<string, Leaf>)[last] = value;
}
