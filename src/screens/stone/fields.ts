import { type Draft as Editable } from "immer";
import { type Piece } from "@/core/piece/piece";
import { type OutlineShape } from "@/core/stone/shapes/shapes";
import { guessedOf } from "@/core/stone/reshape";
import { renamed } from "@/core/stone/known-stones";
import { LEAST_TURN_IN, type Material, type StonePicture, atHeight, raisedTo } from "@/core/stone/stone";
import { type Session } from "@/store/session";
import { lengthField, numberField, optionalLengthField, wordsField } from "@/ui/fields";
import { type Units } from "@/words/show";
import { commonText } from "@/words/common";
import { fieldsText } from "@/words/screens/stone";

type Stone = Piece["mounts"][number]["stone"];

/** The stone of a mount, to be changed. */
export function stoneOf(piece: Editable<Piece>, mount: string): Editable<Stone> {
  return piece.mounts.find(({ id }) => id === mount)!.stone;
}

/** A dimension of an outline that is typed. */
interface Dimension {
  readonly name: "diameter" | "length" | "width" | "exponent" | "corner" | "cleft" | "side" | "bulge";
  readonly label: string;
  readonly hint?: string;
  readonly lights: "length" | "width" | "stone";
}

const LENGTH: Dimension = { name: "length", label: commonText.length, lights: "length" };
const WIDTH: Dimension = { name: "width", label: commonText.width, lights: "width" };
const CORNER: Dimension = { name: "corner", label: fieldsText.corner, hint: fieldsText.itsRadius0IsSharp, lights: "stone" };

/** What is measured of each shape, in the order it is measured. */
export const DIMENSIONS: Readonly<Record<OutlineShape["shape"], readonly Dimension[]>> = {
  round: [{ name: "diameter", label: fieldsText.across, lights: "length" }],
  oval: [LENGTH, WIDTH],
  cushion: [LENGTH, WIDTH, { name: "exponent", label: fieldsText.squareness, hint: fieldsText.squarenessHint, lights: "stone" }],
  rectangle: [LENGTH, WIDTH, CORNER],
  pear: [LENGTH, WIDTH],
  marquise: [LENGTH, WIDTH],
  heart: [LENGTH, WIDTH, { name: "cleft", label: fieldsText.cleft, hint: fieldsText.itsDepthBetweenTheLobes, lights: "stone" }],
  triangle: [
    { name: "side", label: fieldsText.side, hint: fieldsText.betweenTheCornersAsIf, lights: "width" },
    CORNER,
    { name: "bulge", label: fieldsText.bulge, hint: fieldsText.howFarASideRises, lights: "stone" },
  ],
  free: [],
};

/** A dimension as the piece has it. */
export function dimensionOf(outline: OutlineShape, name: Dimension["name"]): number {
  return (outline as unknown as Readonly<Record<string, number>>)[name]!;
}

function outlineKey(mount: string): string {
  return `${mount}.stone.outline.`;
}

/** The points of a free-form are one field. */
export function pointsKey(mount: string): string {
  return `${outlineKey(mount)}points`;
}

export function turnInKey(mount: string): string {
  return `${mount}.stone.turnIn`;
}

/** Gives a stone an outline of another shape; what of its dimensions nobody measured is marked so. */
export function takeOutline(session: Session, mount: string, from: OutlineShape, to: OutlineShape, isFitted = false): string | null {
  const prefix = outlineKey(mount);
  return session.choose(
    (piece) => void (stoneOf(piece, mount).outline = to as Editable<OutlineShape>),
    (before) => {
      const guessed = before.flatMap((key) => (key.startsWith(prefix) ? [key.slice(prefix.length)] : []));
      const now = isFitted && guessed.length === 0 ? [] : guessedOf(from, to, guessed);
      return [...before.filter((key) => !key.startsWith(prefix)), ...now.map((name) => prefix + name)];
    },
  );
}

/** Gives a stone an outline that was traced, with the picture it came from; from a made-up picture nothing counts as measured. */
export function takeTraced(
  session: Session,
  mount: string,
  outline: OutlineShape,
  picture: StonePicture | null,
  isMadeUp: boolean,
): string | null {
  const prefix = outlineKey(mount);
  return session.choose(
    (piece) => {
      const stone = stoneOf(piece, mount);
      stone.outline = outline as Editable<OutlineShape>;
      if (picture) stone.picture = picture as Editable<StonePicture>;
      else delete stone.picture;
    },
    (before) => {
      const names = Object.keys(outline).filter((name) => name !== "shape" && name !== "closed");
      return [...before.filter((key) => !key.startsWith(prefix)), ...(isMadeUp ? names.map((name) => prefix + name) : [])];
    },
  );
}

export function dimensionField(mount: string, name: Dimension["name"], units: Units) {
  const key = outlineKey(mount) + name;
  const write = (piece: Editable<Piece>, value: number) => {
    const stone = stoneOf(piece, mount);
    stone.outline = { ...stone.outline, [name]: value };
  };
  return name === "exponent" ? numberField(key, "", 0.1, 1, write) : lengthField(key, units, write);
}

export function heightField(mount: string, units: Units) {
  return lengthField(`${mount}.stone.height`, units, (piece, value) => {
    const stone = stoneOf(piece, mount);
    Object.assign(stone, atHeight(stone, value));
  });
}

/** The greatest height at which the side leans in; heights round the outline go with it. */
export function turnInField(mount: string, units: Units) {
  return lengthField(turnInKey(mount), units, (piece, value) => {
    const stone = stoneOf(piece, mount);
    stone.turnIn = raisedTo(stone, value, LEAST_TURN_IN) as Editable<Stone>["turnIn"];
  });
}

/** One of the heights round the outline. */
export function profileField(mount: string, index: number, units: Units) {
  return lengthField(`${mount}.stone.turnIn.${index}`, units, (piece, value) => {
    const { turnIn } = stoneOf(piece, mount);
    if (typeof turnIn !== "number" && turnIn[index]) turnIn[index].height = value;
  });
}

export function wrappedField(mount: string, units: Units) {
  return optionalLengthField(`${mount}.stone.measuredPerimeter`, units, (piece, value) => {
    stoneOf(piece, mount).measuredPerimeter = value;
  });
}

export function domeField(mount: string) {
  return numberField(`${mount}.stone.dome`, "", 0.1, 1, (piece, value) => {
    stoneOf(piece, mount).dome = value;
  });
}

export function mohsField(mount: string) {
  return numberField(`${mount}.stone.mohs`, fieldsText.mohs, 0.5, 1, (piece, value) => {
    const stone = stoneOf(piece, mount);
    stone.material = { ...stone.material, mohs: value };
  });
}

export function densityField(mount: string) {
  return numberField(`${mount}.stone.density`, "g/cm³", 0.05, 2, (piece, value) => {
    const stone = stoneOf(piece, mount);
    stone.material = { ...stone.material, density: value };
  });
}

/** What is known of the material's name is filled in with it. */
export function materialField(mount: string) {
  return wordsField(`${mount}.stone.material.name`, (piece, name) => {
    const stone = stoneOf(piece, mount);
    stone.material = renamed(stone.material, name) as Editable<Material>;
  });
}
