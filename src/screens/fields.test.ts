import { demoPiece } from "@demo/pieces";
import { produce } from "immer";
import { type Piece } from "@/core/piece/piece";
import { type NumberField } from "@/ui/fields";
import { METRIC } from "@/words/show";
import { hoopLossField, isEven, sawPassesField, optionalField, sizeField, stockField } from "./hoop/fields";
import {
  densityField,
  dimensionField,
  domeField,
  heightField,
  materialField,
  mohsField,
  profileField,
  turnInField,
  wrappedField,
} from "./stone/fields";
import { baseField, cupLengthField, cupThicknessField, gapField, pitchField, tubeField, wallField, wallLossField } from "./wall/fields";

const tern = demoPiece("tern-ring");

/** Every value in which two pieces differ, by its path. */
function differences(a: unknown, b: unknown, path = ""): string[] {
  if (JSON.stringify(a) === JSON.stringify(b)) return [];
  const isInner = typeof a === "object" && typeof b === "object" && a !== null && b !== null && Array.isArray(a) === Array.isArray(b);
  if (!isInner) return [`${path} ${JSON.stringify(b) ?? "gone"}`];
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])];
  return keys.flatMap((key) => differences((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key], `${path}/${key}`));
}

/** What of a piece a field changes when a text is typed in it. */
function typed(field: NumberField, text: string, piece: Piece = tern): string[] {
  const reading = field.read(text);
  if (!reading.ok) return [reading.problem];
  return differences(
    piece,
    produce(piece, (each) => field.write(each, reading.value)),
  );
}

const STONE = "/mounts/0/stone";
const WALL = "/mounts/0/wall";

test.each<[string, NumberField, string, readonly string[]]>([
  ["length", dimensionField("m1", "length", METRIC), "16.4", [`${STONE}/outline/length 16.4`]],
  ["width", dimensionField("m1", "width", METRIC), "1/2in", [`${STONE}/outline/width 12.7`]],
  ["height", heightField("m1", METRIC), "5,4", [`${STONE}/height 5.4`]],
  ["turn-in", turnInField("m1", METRIC), "2.1", [`${STONE}/turnIn 2.1`]],
  ["tape", wrappedField("m1", METRIC), "44.5", [`${STONE}/measuredPerimeter 44.5`]],
  ["dome", domeField("m1"), "2.4", [`${STONE}/dome 2.4`]],
  ["hardness", mohsField("m1"), "7 Mohs", ['"7 Mohs" is not a number: type one, e.g. 5']],
  ["hardness", mohsField("m1"), "7", [`${STONE}/material/mohs 7`]],
  ["density", densityField("m1"), "2.7", [`${STONE}/material/density 2.7`]],
  ["thickness", wallField("m1", "thickness", METRIC), "26ga", [`${WALL}/thickness ${0.127 * 92 ** (10 / 39)}`]],
  ["fit", wallField("m1", "fit", METRIC), "0.06", [`${WALL}/fit 0.06`]],
  ["catch", wallField("m1", "catch", METRIC), "0.3", [`${WALL}/catch 0.3`]],
  ["lift", wallField("m1", "lift", METRIC), "0.5", [`${WALL}/lift 0.5`]],
  ["house height", wallField("m1", "fixedHeight", METRIC), "3", [`${WALL}/fixedHeight 3`]],
  ["pitch", pitchField("m1", METRIC), "1.2", [`${WALL}/notch {"pitch":1.2}`]],
  ["gap", gapField("m1", "gap", METRIC), "0.5", [`${WALL}/notch {"pitch":1.5,"gap":0.5}`]],
  ["foot", wallLossField("m1", "foot", METRIC), "0.2", [`${WALL}/losses {"foot":0.2}`]],
  ["tube outside", tubeField("m1", "outside", METRIC), "7", [`${WALL}/tube {"outside":7,"inside":5.36}`]],
  ["tube inside", tubeField("m1", "inside", METRIC), "5", [`${WALL}/tube {"outside":6.64,"inside":5}`]],
  ["cup", cupLengthField("m1", METRIC), "11", [`${WALL}/cup {"thickness":0.32,"length":11}`]],
  ["cup's thickness without a cup", cupThicknessField("m1", METRIC), "0.4", []],
  ["base", baseField("m1", METRIC), "0.8", ["/mounts/0/plate/thickness 0.8"]],
  ["wire's width", stockField("width", METRIC), "4", ["/carrier/stock/width 4"]],
  ["wire's thickness", stockField("thickness", METRIC), "1.8", ["/carrier/stock/thickness 1.8"]],
  ["flat", optionalField("flatWidth", METRIC), "6", ["/carrier/flatWidth 6"]],
  ["saddle", optionalField("saddleWidth", METRIC), "5", ["/carrier/saddleWidth 5"]],
  ["kerf", hoopLossField("kerf", METRIC), "0.3", ['/carrier/losses {"kerf":0.3}']],
  ["saw cuts", sawPassesField, "2", ['/carrier/losses {"sawPasses":2}']],
])("the field of %s writes what it reads, and nothing else", (_name, field, text, changes) => expect(typed(field, text)).toEqual(changes));

test("an empty field takes away what can be left out, and leaves what cannot", () => {
  const own = produce(tern, (piece) => {
    piece.mounts[0]!.wall.tube = { outside: 7, inside: 5 };
    piece.mounts[0]!.wall.cup = { length: 11, thickness: 0.4 };
    piece.mounts[0]!.wall.notch = { pitch: 1.5, depth: 0.6, gap: 0.7 };
    if (piece.carrier.type === "hoop") piece.carrier.flatWidth = 6;
    piece.mounts[0]!.stone.measuredPerimeter = 44;
  });
  expect(typed(tubeField("m1", "inside", METRIC), "", own)).toEqual([`${WALL}/tube gone`]);
  expect(typed(cupLengthField("m1", METRIC), " ", own)).toEqual([`${WALL}/cup gone`]);
  expect(typed(gapField("m1", "depth", METRIC), "", own)).toEqual([`${WALL}/notch/depth gone`]);
  expect(typed(optionalField("flatWidth", METRIC), "", own)).toEqual(["/carrier/flatWidth gone"]);
  expect(typed(wrappedField("m1", METRIC), "", own)).toEqual([`${STONE}/measuredPerimeter null`]);
  expect(typed(heightField("m1", METRIC), "", own)[0]).toMatch(/^Empty/);
  expect(typed(tubeField("m1", "outside", METRIC), "7.2", own)).toEqual([`${WALL}/tube/outside 7.2`]);
  expect(typed(cupLengthField("m1", METRIC), "12", own)).toEqual([`${WALL}/cup/length 12`]);
  expect(typed(cupThicknessField("m1", METRIC), "0.5", own)).toEqual([`${WALL}/cup/thickness 0.5`]);
});

test("what hangs together is written together: a flat face's height, heights round a stone, even wire, losses beside others", () => {
  const flat = produce(tern, (piece) => {
    piece.mounts[0]!.stone.dome = "flat";
    piece.mounts[0]!.stone.turnIn = 5.2;
  });
  expect(typed(heightField("m1", METRIC), "3", flat)).toEqual([`${STONE}/height 3`, `${STONE}/turnIn 3`]);
  const uneven = produce(tern, (piece) => {
    piece.mounts[0]!.stone.turnIn = [
      { at: 0, height: 1.4 },
      { at: 0.5, height: 2 },
    ];
  });
  expect(typed(turnInField("m1", METRIC), "2.3", uneven)).toEqual([`${STONE}/turnIn/0/height 1.7`, `${STONE}/turnIn/1/height 2.3`]);
  expect(typed(profileField("m1", 0, METRIC), "1.6", uneven)).toEqual([`${STONE}/turnIn/0/height 1.6`]);
  expect(typed(profileField("m1", 7, METRIC), "1.6", uneven)).toEqual([]);
  const round = produce(tern, (piece) => {
    if (piece.carrier.type === "hoop") Object.assign(piece.carrier.stock, { section: "round", width: 2, thickness: 2 });
  });
  expect(typed(stockField("width", METRIC), "2.2", round)).toEqual(["/carrier/stock/width 2.2", "/carrier/stock/thickness 2.2"]);
  expect([isEven("round"), isEven("square"), isEven("oval")]).toEqual([true, true, false]);
  const lossy = produce(tern, (piece) => void (piece.mounts[0]!.wall.losses = { top: 0.2 }));
  expect(typed(wallLossField("m1", "foot", METRIC), "0", lossy)).toEqual([`${WALL}/losses/foot 0`]);
});

test("words are kept as they are typed; a size without what stands round it, a material with what is known of it", () => {
  const write = (text: string, piece: Piece = tern) =>
    differences(
      piece,
      produce(piece, (each) => sizeField.write(each, text)),
    );
  expect(write(" 6 1/4 ")).toEqual(['/carrier/size/value "6 1/4"']);
  const name = (text: string) =>
    differences(
      tern,
      produce(tern, (each) => materialField("m1").write(each, text)),
    );
  expect(name("opal")).toEqual([
    `${STONE}/material/name "opal"`,
    `${STONE}/material/mohs 5.5`,
    `${STONE}/material/density 2.1`,
    `${STONE}/material/tender/1 "water"`,
    `${STONE}/material/tender/2 "acid"`,
    `${STONE}/material/tender/3 "ultrasonic"`,
  ]);
  expect(() => produce({ ...tern, carrier: { type: "none" } } as Piece, (each) => sizeField.write(each, "54"))).toThrow(/no hoop/);
});
