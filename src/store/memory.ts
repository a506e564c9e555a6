import { type Make } from "@/core/piece/make";
import { type BenchEntry } from "@/core/piece/bench";
import { type Keeper, type PieceRecord, comparePut, newestFirst } from "./keeper";

/** Keeps everything until the page is closed, where the browser keeps nothing itself. */
export function memoryKeeper(): Keeper {
  const pieces = new Map<string, PieceRecord>();
  const makes = new Map<string, Make>();
  let bench: BenchEntry | null = null;
  const done = () => Promise.resolve();
  return {
    kind: "memory",
    pieces: () => Promise.resolve([...pieces.values()]),
    newest: (count) => Promise.resolve([...pieces.values()].sort(newestFirst).slice(0, count)),
    ids: () => Promise.resolve([...pieces.values()].sort(newestFirst).map(({ id }) => id)),
    piece: (id) => Promise.resolve(pieces.get(id) ?? null),
    putPiece: (record, madeOn) => {
      const put = comparePut(pieces.get(record.id) ?? null, record, madeOn);
      if (put.ok) pieces.set(record.id, put.record);
      return Promise.resolve(put);
    },
    removePieces: (ids) => {
      ids.forEach((id) => pieces.delete(id));
      return done();
    },
    bench: () => Promise.resolve(bench),
    putBench: (entry) => {
      bench = entry;
      return done();
    },
    makes: (piece) => Promise.resolve([...makes.values()].filter((make) => make.piece === piece)),
    allMakes: () => Promise.resolve([...makes.values()]),
    putMake: (make) => {
      makes.set(make.id, make);
      return done();
    },
  };
}
