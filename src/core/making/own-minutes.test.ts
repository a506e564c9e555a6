import { SHIPPED_BENCH } from "../piece/bench";
import { type Piece } from "../piece/piece";
import { planPiece } from "../piece/plan-piece";
import ternFile from "../piece/reference/tern-ring.piece.json";
import { ownMinutesFrom, stepTimesOf, withOwnMinutes } from "./own-minutes";
import { type StepCode, entriesOf } from "./step";

const { steps, tasks } = planPiece(ternFile as unknown as Piece, SHIPPED_BENCH);
const of = (code: StepCode) => steps.find((step) => step.code === code)!;
/** Ticks of steps at so many minutes. */
type Ticks = readonly (readonly [StepCode, number])[];
const ticked = (...at: Ticks) =>
  at.flatMap(([code, minutes]) => entriesOf(of(code)).map((step) => ({ step, at: new Date(minutes * 60_000).toISOString() })));
const timesOf = (of: typeof steps, done: Parameters<typeof stepTimesOf>[1]) => stepTimesOf(of, done, Date.parse);
const times = (...at: Ticks) => Object.fromEntries(timesOf(steps, ticked(...at)));

test("a step took the hands from the tick before it to its own; pauses, ticks all at once and what waits are left out", () => {
  expect(times(["stone.look", 0], ["stone.measure", 4], ["wall.slit", 9.5])).toEqual({ "stone.measure": 4, "wall.slit": 5.5 });
  expect(times(["stone.look", 0], ["stone.measure", 45], ["wall.slit", 50])).toEqual({ "wall.slit": 5 });
  expect(times(["stone.look", 0], ["stone.measure", 0.1], ["wall.slit", 6])).toEqual({ "wall.slit": 5.9 });
  expect(times(["stone.look", 0], ["stone.measure", 6], ["wall.slit", 6], ["wall.cut", 9])).toEqual({ "wall.cut": 3 });
  expect(times(["wall.anneal", 0], ["wall.cut", 4])).toEqual({ "wall.cut": 3 });
  expect(times(["join.pickle", 0], ["join.check", 6])).toEqual({});
  expect(timesOf(steps, [{ step: "m1.wall.cut", at: "" }]).size).toBe(0);
});

test("what was taken out of the pickle begins what comes after it", () => {
  const done = [...ticked(["join.pickle", 0]), { step: `${of("join.pickle").id}.out`, at: new Date(9 * 60_000).toISOString() }];
  expect(Object.fromEntries(timesOf(steps, [...done, ...ticked(["join.check", 11])]))).toEqual({ "join.check": 2 });
});

test("from three makes on the mean counts, the usual as three makes beside it; one far off is left out from the fifth", () => {
  const cut = (minutes: number) => new Map<StepCode, number>([["wall.cut", minutes]]);
  expect(ownMinutesFrom([cut(5), cut(5)]).size).toBe(0);
  expect(ownMinutesFrom([cut(5), cut(5), cut(5)]).get("wall.cut")).toEqual({ hands: 3.5, makes: 3 });
  expect(ownMinutesFrom([...Array.from({ length: 9 }, (_, i) => cut(5 + 0.01 * i)), cut(29)]).get("wall.cut")).toEqual({
    hands: 4.5,
    makes: 9,
  });
  expect(ownMinutesFrom([cut(0.2), cut(0.2), cut(0.2), cut(0.2)]).get("wall.cut")!.hands).toBeGreaterThanOrEqual(0.5);
});

test("a plan's tasks go by them where the bench names none: what the maker typed stays, copies take as many times as long", () => {
  const own = new Map<StepCode, { hands: number; makes: number }>([["wall.cut", { hands: 3.5, makes: 4 }]]);
  const cut = (all: typeof tasks) => all!.find(({ step }) => step === of("wall.cut").id)!;
  expect(cut(withOwnMinutes(tasks!, steps, own))).toMatchObject({ hands: 3.5, isUsual: false, makes: 4 });
  expect(withOwnMinutes(tasks!, steps, own).filter(({ makes }) => makes !== undefined)).toHaveLength(1);
  const bench = { ...SHIPPED_BENCH, minutes: { "wall.cut": { hands: 7, wait: 0 } } };
  const typed = planPiece(ternFile as unknown as Piece, bench);
  expect(cut(withOwnMinutes(typed.tasks!, typed.steps, own))).toMatchObject({ hands: 7, isUsual: false });
  const pair = planPiece({ ...(ternFile as unknown as Piece), copies: 2 }, SHIPPED_BENCH);
  expect(cut(withOwnMinutes(pair.tasks!, pair.steps, own)).hands).toBe(7);
  const ticks = entriesOf(of("wall.cut")).map((step) => ({ step, at: new Date(6 * 60_000).toISOString() }));
  expect(timesOf(pair.steps, [...ticked(["stone.look", 0]), ...ticks]).get("wall.cut")).toBe(3);
  expect(withOwnMinutes(tasks!, steps, new Map())).toBe(tasks);
});
