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
  // What it asks is one object that changes within itself: remembered by its name, the rows of the first screen would stand for ever.
  "use no memo";
  const rows = useWindowVirtualizer<HTMLElement>({
    count,
    estimateSize: () => height,
    overscan: beyond,
    scrollMargin: top,
    getItemKey: keyOf,
    // A row is as high as it is thought to be until the browser has laid it out: asked before that, it would lay out the page at once.
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
