import { type Source } from "../measure/figure";
import { type Measured } from "./make";
import { type Mount, type Piece } from "./piece";
import { measuresOf, withMeasure } from "../stone/shapes/shapes";
import { LEAST_TURN_IN, type Stone, atHeight, raisedTo } from "../stone/stone";

/** What was read of a piece in its making: a figure's key, and its value in the figure's unit. The last reading of one counts. */
export type Readings = readonly Pick<Measured, "figure" | "value" | "scrapped" | "how">[];

/** A piece as its metal is in hand, and where a value that a key names then comes from. */
export interface InHand {
  readonly piece: Piece;
  readonly sourceOf: (key: string) => Source;
}

/** Sizes read off the stock take the place of the file's; what else was read changes no entry of it. */
export function inHand(piece: Piece, readings: Readings): InHand {
  const read = new Map(readings.map(({ figure, value }) => [figure, value]));
  const sourceOf = (key: string): Source => (read.has(key) ? "measured" : "piece");
  if (read.size === 0) return { piece, sourceOf };
  return {
    piece: { ...piece, mounts: piece.mounts.map((mount) => mountInHand(mount, read)), carrier: carrierInHand(piece, read) },
    sourceOf,
  };
}

/** The key of a wall's fit, which is not read itself: it follows from the closed wall's length. */
export function fitKey(mount: string): string {
  return `${mount}.wall.fit`;
}

function mountInHand(mount: Mount, read: ReadonlyMap<string, number>): Mount {
  const fit = read.get(fitKey(mount.id));
  const plate = read.get(`${mount.id}.plate.thickness`);
  return {
    ...mount,
    stone: stoneInHand(mount, read),
    wall: { ...mount.wall, thickness: read.get(`${mount.id}.wall.thickness`) ?? mount.wall.thickness, ...(fit !== undefined && { fit }) },
    ...(mount.plate && { plate: { ...mount.plate, ...(plate !== undefined && { thickness: plate }) } }),
  };
}

/** A stone as it was measured at the bench. */
function stoneInHand({ id, stone }: Mount, read: ReadonlyMap<string, number>): Stone {
  const of = (name: string) => read.get(`${id}.stone.${name}`);
  const [turnIn, height, tape] = [of("turnIn"), of("height"), of("measuredPerimeter")];
  const outline = measuresOf(stone.outline).reduce((shape, { name }) => {
    const mm = of(`outline.${name}`);
    return mm === undefined ? shape : withMeasure(shape, name, mm);
  }, stone.outline);
  return {
    ...stone,
    outline,
    ...(turnIn !== undefined && { turnIn: raisedTo(stone, turnIn, LEAST_TURN_IN) }),
    ...(height !== undefined && atHeight(stone, height)),
    ...(tape !== undefined && { measuredPerimeter: tape }),
  };
}

/** Of wire as wide as it is thick one reading is both. */
function carrierInHand({ carrier }: Piece, read: ReadonlyMap<string, number>): Piece["carrier"] {
  if (carrier.type !== "hoop") return carrier;
  const { stock } = carrier;
  const isEven = stock.section === "round" || stock.section === "square";
  const thickness = read.get("hoop.thickness") ?? stock.thickness;
  return { ...carrier, stock: { ...stock, thickness, width: isEven ? thickness : (read.get("hoop.width") ?? stock.width) } };
}
