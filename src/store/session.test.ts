import { SHIPPED_BENCH } from "@/core/piece/bench";
import { type Piece } from "@/core/piece/piece";
import tern from "@/core/piece/reference/tern-ring.piece.json";
import { readLength } from "@/core/measure/reading";
import { hearFrom, heard, layOutPage, page, stored } from "./a-page.testing";
import { readJournal } from "./journal";
import { RepositoryError, type Repository, type PieceRecord } from "./repository";
import { memoryKeeper } from "./memory";
import { type Session, type TypedField, openSession } from "./session";

const piece = tern as unknown as Piece;
const record: PieceRecord = {
  id: piece.id,
  piece,
  drafts: {},
  unmeasured: ["height"],
  revision: 1,
  changed: "2026-11-12T09:41:00Z",
  deleted: null,
};

const opened: Session[] = [];

beforeAll(layOutPage);

afterEach(async () => {
  page.visibilityState = "visible";
  await Promise.all(opened.splice(0).map((session) => session.close()));
  stored.clear();
});

/** A repository that says it is the device's, so that the journal is kept too. */
async function device(): Promise<Repository> {
  const repository: Repository = { ...memoryKeeper(), kind: "device" };
  await repository.write([{ store: "pieces", put: record, madeOn: null }]);
  return repository;
}

function open(repository: Repository): Session {
  const session = openSession(record, repository, () => SHIPPED_BENCH);
  opened.push(session);
  return session;
}

function lengthOf(key: string, write: TypedField<number>["write"]): TypedField<number> {
  return {
    key,
    read: (text) => {
      const reading = readLength(text, "mm");
      return reading.ok ? reading : { ok: false, problem: reading.code };
    },
    write,
  };
}

const thickness = lengthOf("thickness", (each, value) => void (each.mounts[0]!.wall.thickness = value));
const height = lengthOf("height", (each, value) => void (each.mounts[0]!.stone.height = value));
const turnIn = lengthOf("turnIn", (each, value) => void (each.mounts[0]!.stone.turnIn = value));
const wall = (session: Session) => session.store.getState().piece.mounts[0]!.wall;
const draft = (session: Session, key: string) => session.store.getState().drafts[key];

test("what is typed is taken as it is typed, and is one step of undo once the field is left", async () => {
  const session = open(await device());
  for (const text of ["0", "0.", "0.4"]) session.type(thickness, text);
  session.commit();
  session.type(thickness, "26ga");
  session.commit();
  expect(draft(session, "thickness")).toEqual({ text: "26ga", problem: null });
  session.undo();
  expect(wall(session).thickness).toBe(0.4);
  session.undo();
  expect(wall(session).thickness).toBe(0.32);
  session.redo();
  expect(wall(session).thickness).toBe(0.4);
  session.undo();
  session.undo();
  expect(session.store.getState().piece).toEqual(piece);
});

test("undo in the middle of typing first closes the step", async () => {
  const session = open(await device());
  session.type(thickness, "0.5");
  session.undo();
  expect(wall(session).thickness).toBe(0.32);
  session.redo();
  expect(wall(session).thickness).toBe(0.5);
});

test("leaving a field as it was makes no step", async () => {
  const session = open(await device());
  session.type(thickness, "0.4");
  session.type(thickness, "0.32");
  session.commit();
  expect(session.history.getState().pastStates).toHaveLength(0);
});

test("undoing the entry that measured a field makes it a guess again, and redoing it a measure", async () => {
  const session = open(await device());
  const guessed = () => session.store.getState().unmeasured;
  session.type(height, "5.2");
  session.commit();
  expect(guessed()).toEqual([]);
  session.undo();
  expect(guessed()).toEqual(["height"]);
  session.redo();
  expect(guessed()).toEqual([]);
});

test("a field that says another's size in its own way measures that one, and undoing it makes that a guess again", async () => {
  const session = open(await device());
  session.type({ ...height, key: "height.inTenths", measures: "height" }, "5.2");
  session.commit();
  expect(session.store.getState()).toMatchObject({ unmeasured: [], drafts: { "height.inTenths": { text: "5.2", problem: null } } });
  session.undo();
  expect(session.store.getState().unmeasured).toEqual(["height"]);
});

test("a choice says which fields it leaves guessed, in one step of undo; one that is refused leaves them as they were", async () => {
  const session = open(await device());
  const pick = (exponent: number) =>
    session.choose(
      (each) => void (each.mounts[0]!.stone.dome = exponent),
      (before) => [...before, "dome"],
    );
  expect(pick(3)).toBeNull();
  expect(session.store.getState()).toMatchObject({ unmeasured: ["height", "dome"] });
  session.undo();
  expect(session.store.getState()).toMatchObject({ unmeasured: ["height"], piece });
  expect(pick(0.2)).toMatch(/at least 1/);
  expect(session.store.getState().unmeasured).toEqual(["height"]);
});

test("wrong text is kept and explained, the piece goes on as it was, and it is taken once it fits", async () => {
  const session = open(await device());
  session.register(turnIn);
  session.type(turnIn, "banana");
  expect(draft(session, "turnIn")).toEqual({ text: "banana", problem: "not-a-number" });
  session.type(turnIn, "6");
  expect(draft(session, "turnIn")!.problem).toBe("must be less than the stone's height, 5.2, got 6");
  expect(session.store.getState().piece).toBe(piece);
  session.type(height, "8");
  expect(session.store.getState().piece.mounts[0]!.stone).toMatchObject({ height: 8, turnIn: 6 });
  expect(draft(session, "turnIn")).toEqual({ text: "6", problem: null });
  expect(session.store.getState().unmeasured).toEqual([]);
});

test("a move of a drag that changes nothing tells nobody anything new; one that does drops what was typed in its field", async () => {
  const session = open(await device());
  const toHalf = () => session.change((each) => void (each.mounts[0]!.wall.thickness = 0.5), "thickness");
  session.type(thickness, "0.4");
  toHalf();
  expect([wall(session).thickness, draft(session, "thickness")]).toEqual([0.5, undefined]);
  const before = session.store.getState();
  toHalf();
  const after = session.store.getState();
  for (const key of ["piece", "drafts", "unmeasured"] as const) expect(after[key]).toBe(before[key]);
});

test("a change that cannot be is refused with its reason", async () => {
  const session = open(await device());
  expect(session.change((each) => void (each.mounts[0]!.wall.metal = "gold" as "copper"))).toMatch(/must be one of fine-silver/);
  expect(session.change((each) => void (each.name = "Tern, larger"))).toBeNull();
  expect(session.store.getState().piece.name).toBe("Tern, larger");
});

test("writes follow one another, each on the revision before it, and tell when they are kept", async () => {
  const repository = await device();
  const session = open(repository);
  session.type(thickness, "0.4");
  expect(session.store.getState().keeping).toEqual({ state: "writing" });
  const first = session.flush();
  await Promise.resolve();
  session.type(thickness, "0.45");
  await Promise.all([first, session.flush()]);
  expect(session.store.getState().keeping.state).toBe("kept");
  expect(await repository.piece(piece.id)).toMatchObject({ revision: 3, piece: { mounts: [{ wall: { thickness: 0.45 } }] } });
});

test("closing a step after it was written leaves the piece kept, not for ever being kept", async () => {
  const session = open(await device());
  session.type(thickness, "0.4");
  await session.flush();
  expect(session.store.getState().keeping.state).toBe("kept");
  session.commit();
  await session.flush();
  expect(session.store.getState().keeping.state).toBe("kept");
  session.undo();
  session.redo();
  await session.flush();
  expect(session.store.getState().keeping.state).toBe("kept");
});

test("a piece changed elsewhere is not overwritten: the newer can be taken", async () => {
  const repository = await device();
  const session = open(repository);
  await repository.write([{ store: "pieces", put: { ...record, piece: { ...piece, name: "Theirs" } }, madeOn: 1 }]);
  session.type(thickness, "0.4");
  await session.flush();
  expect(session.store.getState().keeping).toMatchObject({ state: "elsewhere", newer: { revision: 2 } });
  session.takeNewer();
  expect(session.store.getState().piece.name).toBe("Theirs");
  session.type(thickness, "0.5");
  await session.flush();
  expect(await repository.piece(piece.id)).toMatchObject({ revision: 3, piece: { name: "Theirs" } });
});

test("what cannot be kept is told, and tried again with the next change", async () => {
  const repository = await device();
  let isFull = true;
  const session = open({
    ...repository,
    write: (...args) => (isFull ? Promise.reject(new RepositoryError("full", null)) : repository.write(...args)),
  });
  session.type(thickness, "0.4");
  await session.flush();
  expect(session.store.getState().keeping).toEqual({ state: "trouble", trouble: "full" });
  isFull = false;
  session.type(thickness, "0.41");
  await session.flush();
  expect(session.store.getState().keeping.state).toBe("kept");
});

test("a page that is hidden puts what is unwritten in the journal at once", async () => {
  const repository = await device();
  const never: Repository = { ...repository, write: () => new Promise(() => undefined) };
  const session = openSession(record, never, () => SHIPPED_BENCH);
  session.type(thickness, "0.6");
  page.visibilityState = "hidden";
  heard.get("visibilitychange")!();
  expect(readJournal()).toMatchObject([
    { name: piece.id, entry: { kind: "piece", madeOn: 1, record: { piece: { mounts: [{ wall: { thickness: 0.6 } }] } } } },
  ]);
});

test("a piece deleted elsewhere is told as deleted, marked or for good, and can be put back as it is here", async () => {
  for (const gone of [true, false]) {
    const repository = await device();
    const session = open(repository);
    session.type(thickness, "0.4");
    await repository.write([
      gone
        ? { store: "pieces", remove: piece.id }
        : { store: "pieces", id: piece.id, change: (kept) => kept && { ...kept, deleted: "2026" } },
    ]);
    await session.flush();
    expect(session.store.getState().keeping).toMatchObject({ state: "deleted" });
    await session.flush();
    expect((await repository.piece(piece.id))?.deleted ?? null).toBe(gone ? null : "2026");
    await session.putBack();
    expect(await repository.piece(piece.id)).toMatchObject({ deleted: null, piece: { mounts: [{ wall: { thickness: 0.4 } }] } });
    expect(session.store.getState().keeping.state).toBe("kept");
  }
});

test("a piece at fault on the bench it is planned with takes one mend after another, and nothing that adds a fault", async () => {
  const repository = await device();
  const broken = structuredClone(piece) as unknown as { carrier: { size: { system: string }; stock: { thickness: number } } };
  broken.carrier.size.system = "mandrel";
  broken.carrier.stock.thickness = 5.5e-11;
  const session = openSession({ ...record, piece: broken as unknown as Piece }, repository, () => SHIPPED_BENCH);
  opened.push(session);
  expect(session.change((each) => void (each.mounts[0]!.stone.height = -1))).toMatch(/must be more than 0/);
  expect(session.change((each) => each.carrier.type === "hoop" && void (each.carrier.stock.thickness = 1.6))).toBeNull();
  expect(session.change((each) => each.carrier.type === "hoop" && void (each.carrier.size.system = "eu"))).toBeNull();
  expect(session.store.getState().piece).toEqual(piece);
});

test("a choice that leaves the same field at fault for another reason is taken, one that puts another at fault is not", async () => {
  const broken = { ...piece, carrier: { ...piece.carrier, size: { system: "mandrel", value: "K" } } } as Piece;
  const session = openSession({ ...record, piece: broken }, await device(), () => SHIPPED_BENCH);
  opened.push(session);
  expect(session.change((each) => void (each.mounts[0]!.wall.heightRule = "fixed"))).toMatch(/^is missing/);
  expect(session.change((each) => each.carrier.type === "hoop" && void (each.carrier.size.system = "eu"))).toBeNull();
  expect(session.store.getState().piece).toMatchObject({ carrier: { size: { system: "eu", value: "K" } } });
});

test("news of another piece, or of anything else, overtakes nothing; news of this one does", async () => {
  const repository = await device();
  const session = open(repository);
  await repository.write([{ store: "pieces", put: { ...record, changed: "2026-11-13T09:41:00Z" }, madeOn: 1 }]);
  hearFrom({ kind: "pieces", ids: ["other"] });
  hearFrom({ kind: "bench" });
  await new Promise(setImmediate);
  expect(session.store.getState().keeping.state).toBe("kept");
  hearFrom({ kind: "pieces", ids: ["other", piece.id] });
  await new Promise(setImmediate);
  expect(session.store.getState().keeping.state).toBe("elsewhere");
});

test("two hundred steps can be undone", async () => {
  const session = open(await device());
  for (let i = 0; i < 205; i++) session.change((each) => void (each.notes = String(i)));
  expect(session.history.getState().pastStates).toHaveLength(200);
});
