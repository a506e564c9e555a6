"use client";

import { type ReactNode, Suspense, createContext, lazy, useContext, useMemo, useState } from "react";
import { useOpening } from "../opening";

const ReadCodes = lazy(() => import("./ReadCodes").then(({ ReadCodes }) => ({ default: ReadCodes })));
const ShowCodes = lazy(() => import("./ShowCodes").then(({ ShowCodes }) => ({ default: ShowCodes })));

/** A file, and what it is a file of. */
interface Shown {
  readonly name: string;
  readonly text: string;
  /** Whether its pictures were left out: they would take too many codes. */
  readonly isWithoutPictures?: boolean;
}

interface Codes {
  /** Lets the maker take pictures of codes. */
  readonly read: () => void;
  readonly show: (file: Shown) => void;
}

const CodesContext = createContext<Codes>({ read: () => undefined, show: () => undefined });

export function useCodes(): Codes {
  return useContext(CodesContext);
}

/** From one device to another without a server in between: codes on one screen, a camera before it. */
export function CodesProvider({ children }: { readonly children: ReactNode }) {
  const { take } = useOpening();
  const [isReading, setReading] = useState(false);
  const [shown, show] = useState<Shown | null>(null);
  const value = useMemo(() => ({ read: () => setReading(true), show }), []);
  return (
    <CodesContext value={value}>
      {children}
      <Suspense>
        {isReading && <ReadCodes onFile={take} onClose={() => setReading(false)} loadMadeUp={madeUpPiece} />}
        {shown && (
          <ShowCodes name={shown.name} text={shown.text} isWithoutPictures={shown.isWithoutPictures ?? false} onClose={() => show(null)} />
        )}
      </Suspense>
    </CodesContext>
  );
}

/** What the camera that stands in for one sees: a piece of the demo. */
async function madeUpPiece(): Promise<string> {
  const [{ DEMO_PIECES }, { encode }] = await Promise.all([import("@demo/pieces"), import("@/formats/backup-codec")]);
  return encode(DEMO_PIECES[0]!);
}
