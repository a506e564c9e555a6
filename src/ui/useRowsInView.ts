import { measureElement, useWindowVirtualizer } from "@tanstack/react-virtual";

interface Rows {
  readonly count: number;
  /** Height of a row in px, before it is measured. */
  readonly height: number;
  /** Rows made beyond those in view. */
  readonly beyond: number;
  /** How far below the page's start the first row stands (px). */
  readonly top: number;
  readonly keyOf: (index: number) => string;
}

/** The rows of a long list that stand in view, and a few beyond; all heights in px. */
export function useRowsInView({ count, height, beyond, top, keyOf }: Rows) {
  // The virtualizer mutates one object in place. Memoised by identity, the first screen's rows would never change, so memoisation is off here.
  "use no memo";
  const rows = useWindowVirtualizer<HTMLElement>({
    count,
    estimateSize: () => height,
    overscan: beyond,
    scrollMargin: top,
    getItemKey: keyOf,
    // Use the estimate until the row has been laid out: measuring earlier forces a synchronous layout.
    measureElement: (row, laidOut, all) =>
      laidOut ? measureElement(row, laidOut, all) : (all.itemSizeCache.get(keyOf(all.indexFromElement(row))) ?? height),
  });
  return {
    shown: rows.getVirtualItems(),
    whole: rows.getTotalSize(),
    measure: rows.measureElement,
    bring: (index: number) => rows.scrollToIndex(index, { align: "center" }),
  };
}
