/** A picture, as its points: red, green, blue, how solid; a byte each. */
export interface CodesAsk {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray<ArrayBuffer>;
}

/** What the code in it holds; null where none can be read. */
export interface CodesReply {
  readonly bytes: Uint8Array | null;
}
