declare module "polylabel" {
  /** The place in a polygon (its outer ring, then holes) furthest from its sides, to a precision, and how far that is. */
  export default function polylabel(
    rings: readonly (readonly (readonly [number, number])[])[],
    precision?: number,
  ): number[] & { readonly distance: number };
}
