import fc from "fast-check";
import { type BenchEntry, SHIPPED_BENCH } from "./bench";
import { faultsOf, partsOf } from "./faults";
import { type OutlineShape } from "../stone/shapes/shapes";
import { type AppliedEntry, type HoopEntry, type OrnamentEntry, type Mount, type Piece } from "./piece";

/** Random pieces for tests: every one fits the schema and is planned here. */

const metal = fc.constantFrom("fine-silver" as const, "sterling" as const, "sterling-935" as const, "copper" as const, "brass" as const);
const loss = fc.double({ min: 0, max: 2, noNaN: true });

/** Optional fields are left out as often as not. */
function partly<T extends object>(fields: { readonly [K in keyof T]: fc.Arbitrary<T[K]> }): fc.Arbitrary<Partial<T>> {
  return fc.record(fields, { requiredKeys: [] }) as fc.Arbitrary<Partial<T>>;
}

const share = fc.double({ min: 0.01, max: 1, noNaN: true });

/** Every shape; the curved ones, which cost more, less often. */
function anyOutline(size: fc.Arbitrary<number>): fc.Arbitrary<OutlineShape> {
  const closedForms = fc.oneof<fc.Arbitrary<OutlineShape>[]>(
    fc.record({ shape: fc.constant("round" as const), diameter: size }),
    fc.record({ shape: fc.constant("oval" as const), length: size, width: size }),
    fc.record({ shape: fc.constantFrom("pear" as const, "marquise" as const), length: size, width: size }),
    fc.record({ shape: fc.constant("rectangle" as const), length: size, width: size, corner: fc.oneof(size, fc.constant(0)) }),
    fc
      .record({ length: size, width: size, deep: share })
      .map(({ length, width, deep }) => ({ shape: "heart" as const, length, width, cleft: (deep * width) / 4 })),
    fc
      .record({ side: size, round: share, out: share })
      .map(({ side, round, out }) => ({ shape: "triangle" as const, side, corner: round * side * 0.3, bulge: out * side * 0.3 })),
  );
  const curved = fc.oneof<fc.Arbitrary<OutlineShape>[]>(
    fc.record({ shape: fc.constant("cushion" as const), length: size, width: size, exponent: fc.double({ min: 1, max: 50, noNaN: true }) }),
    fc
      .record({
        across: size,
        reaches: fc.array(fc.double({ min: 0.3, max: 1, noNaN: true }), { minLength: 4, maxLength: 12 }),
        closed: fc.constantFrom("curve" as const, "polyline" as const),
      })
      .map(({ across, reaches, closed }) => ({
        shape: "free" as const,
        closed,
        points: reaches.map((reach, i) => {
          const angle = (2 * Math.PI * i) / reaches.length;
          return [across * reach * 0.5 * Math.cos(angle), across * reach * 0.5 * Math.sin(angle)] as const;
        }),
      })),
  );
  return fc.oneof({ weight: 9, arbitrary: closedForms }, { weight: 1, arbitrary: curved });
}

function mountCalled(id: string, size: fc.Arbitrary<number>): fc.Arbitrary<Mount> {
  const outline = anyOutline(size);
  const stone = fc
    .record({
      outline,
      height: size,
      share: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      round: fc.option(fc.array(fc.record({ at: share, height: share }), { minLength: 1, maxLength: 5 }), { freq: 3 }),
      dome: fc.oneof(fc.double({ min: 1, max: 6, noNaN: true }), fc.constant("flat" as const)),
    })
    .map(({ outline, height, share, round, dome }) => {
      if (dome === "flat") return { outline, height, turnIn: height, dome };
      const turnIn = round
        ? round.map((each) => ({ at: each.at, height: Math.max(0.01, each.height * height * share) }))
        : Math.max(0.01, height * share);
      return { outline, height, turnIn, dome };
    });
  const wall = fc
    .record({
      metal,
      thickness: fc.double({ min: 0.1, max: 3, noNaN: true }),
      rest: partly({
        source: fc.constantFrom("strip" as const, "sheet" as const, "notched" as const, "tube" as const, "cup" as const),
        tube: fc.record({ outside: fc.double({ min: 0.5, max: 40, noNaN: true }), inside: fc.double({ min: 0.1, max: 40, noNaN: true }) }),
        cup: fc.record({ length: fc.double({ min: 0.5, max: 40, noNaN: true }), thickness: fc.double({ min: 0.05, max: 2, noNaN: true }) }),
        notch: fc.record({ pitch: fc.double({ min: 0.3, max: 5, noNaN: true }) }),
        fit: loss,
        heightRule: fc.constantFrom("turn-in" as const, "third" as const, "fixed" as const),
        lift: loss,
        seamAt: fc.oneof(fc.double({ min: 0, max: 1, noNaN: true }), fc.constant("auto" as const)),
        losses: partly({ squaring: loss, mark: loss, foot: loss, top: loss }),
      }),
    })
    .map(({ rest, ...fixed }) => ({ ...fixed, ...rest, ...(rest.heightRule === "fixed" && { fixedHeight: 3 }) }));
  const plate = fc
    .record({
      style: fc.constantFrom("flush" as const, "border" as const),
      metal,
      thickness: fc.double({ min: 0.1, max: 3, noNaN: true }),
      rest: partly({
        border: loss,
        sawMargin: loss,
        edge: fc.constantFrom("follows" as const, "even" as const),
        ornament: fc.array(anyOrnament, { maxLength: 3 }).map((all) => all.map((each, i) => ({ ...each, id: `o${i}` }))),
        stamp: fc.record({ width: small, height: small }),
        drain: fc.record({ diameter: small }),
        ledge: fc.record({ width: small, height: small, metal }),
        texture: fc.constant({ name: "hammered" }),
      }),
      own: fc.option(fc.record({ outline: anyOutline(size), rest: partly({ at: fc.tuple(offset, offset), turn }) }), { freq: 3 }),
      rise: fc.option(share, { freq: 3 }),
    })
    .map(({ rest: { ledge, ...rest }, own, rise, ...fixed }) => {
      if (ledge) return { ...fixed, ...rest, ledge, style: "open" as const };
      if (!own) return { ...fixed, ...rest };
      const domed = own.outline.shape === "round" && rise !== null && { domed: { rise: (0.99 * rise * own.outline.diameter) / 2 } };
      return { ...fixed, ...rest, ...domed, ...own.rest, style: "own" as const, outline: own.outline };
    });
  const place = partly({ along: fc.double({ min: -10, max: 10, noNaN: true }), turn: fc.double({ min: -90, max: 90, noNaN: true }) });
  return fc.record({ id: fc.constant(id), place, stone, wall, plate });
}

const offset = fc.double({ min: -8, max: 8, noNaN: true });
const turn = fc.double({ min: -90, max: 90, noNaN: true });
/** A mount as one that stands on the plate of the first. */
function sharing({ plate, place: _place, ...mount }: Mount, at: readonly [number, number], turn: number): Mount {
  return { ...mount, on: "m1", at, turn, ...(plate?.ornament && { ornament: plate.ornament }) };
}

const small = fc.double({ min: 0.3, max: 4, noNaN: true });
const place = fc.double({ min: 0, max: 1, noNaN: true });

const anyOrnament: fc.Arbitrary<Omit<OrnamentEntry, "id">> = fc
  .record({
    type: fc.constantFrom("wire" as const, "twist" as const, "bead-wire" as const, "granules" as const),
    width: small,
    metal,
    rest: partly({
      extent: fc.array(fc.tuple(place, place), { minLength: 1, maxLength: 3 }),
      section: fc.constantFrom("round" as const, "square" as const, "half-round" as const),
      height: small,
      tight: fc.double({ min: 0, max: 0.3, noNaN: true }),
      wire: fc.record({ wire: small }),
      strip: fc.record({ strip: fc.tuple(small, small) }),
    }),
  })
  .map(({ rest: { wire, strip, ...rest }, ...fixed }) => {
    const from = fixed.type === "twist" ? wire : fixed.type === "granules" ? (wire ?? strip) : undefined;
    return { ...fixed, ...rest, ...(from && { from }) };
  });

/** Something sweated on, on the part of that number. */
const anyApplied: fc.Arbitrary<{ readonly part: number; readonly entry: Omit<AppliedEntry, "id" | "on"> }> = fc
  .record({
    part: fc.nat(),
    metal,
    shape: fc.oneof<fc.Arbitrary<Partial<AppliedEntry>>[]>(
      fc.record({ disc: fc.record({ diameter: small, thickness: small }) }),
      fc.record({ ball: fc.record({ diameter: small }) }),
      fc.record({ ring: fc.record({ inside: small, wire: small }) }),
      fc.record({ strip: fc.record({ length: small, width: small, thickness: small }) }),
    ),
    rest: partly({
      when: fc.constantFrom("flat" as const, "formed" as const),
      at: fc.tuple(fc.double({ min: -5, max: 5, noNaN: true }), fc.double({ min: -5, max: 5, noNaN: true })),
      along: fc.double({ min: -30, max: 30, noNaN: true }),
    }),
  })
  .map(({ part, metal, shape, rest }) => ({ part, entry: { metal, ...shape, ...rest } }));

function putOn(piece: Piece, put: readonly { readonly part: number; readonly entry: Omit<AppliedEntry, "id" | "on"> }[]): Piece {
  const parts = partsOf(piece);
  return put.length === 0
    ? piece
    : { ...piece, applied: put.map(({ part, entry }, i) => ({ ...entry, id: `a${i}`, on: parts[part % parts.length]! })) };
}

function anyHoop(): fc.Arbitrary<HoopEntry> {
  const stock = fc
    .record({
      section: fc.constantFrom(
        "round" as const,
        "square" as const,
        "rectangle" as const,
        "oval" as const,
        "half-round" as const,
        "d" as const,
      ),
      width: fc.double({ min: 0.5, max: 15, noNaN: true }),
      thickness: fc.double({ min: 0.5, max: 5, noNaN: true }),
      metal,
    })
    .map((stock) => (stock.section === "round" || stock.section === "square" ? { ...stock, width: stock.thickness } : stock));
  const size = fc.oneof(
    fc.record({ system: fc.constant("eu" as const), value: fc.integer({ min: 40, max: 76 }).map(String) }),
    fc.record({ system: fc.constant("uk" as const), value: fc.constantFrom("A", "N", "N 1/2", "Z+3") }),
    fc.record({ system: fc.constant("us" as const), value: fc.constantFrom("0", "6 1/4", "13.5") }),
  );
  return fc
    .record({
      type: fc.constant("hoop" as const),
      size,
      stock,
      form: fc.constantFrom("closed" as const, "closed-flat" as const, "open" as const, "bridge" as const, "adjustable" as const),
      work: fc.constantFrom(
        "none" as const,
        "slit" as const,
        "strands" as const,
        "spread" as const,
        "taper" as const,
        "twist" as const,
        "sleeve" as const,
      ),
      share,
      rest: partly({
        lengthRule: fc.oneof(
          fc.constant("fibre" as const),
          fc.constant("thickness" as const),
          fc.record({ multiplier: fc.double({ min: 3.1, max: 3.5, noNaN: true }) }),
        ),
        flatWidth: fc.double({ min: 1, max: 30, noNaN: true }),
        saddleWidth: fc.double({ min: 1, max: 30, noNaN: true }),
        losses: partly({ squaring: loss, mark: loss, sawPasses: fc.integer({ min: 0, max: 4 }), kerf: loss, hammer: loss }),
        plateAbove: fc.double({ min: 0, max: 2, noNaN: true }),
        openGap: fc.double({ min: 0, max: 12, noNaN: true }),
      }),
    })
    .map(({ rest, work, share, ...fixed }): HoopEntry => {
      const { width, thickness } = fixed.stock;
      const bridge = { inside: 10 + 20 * share, thickness: 0.3 + share, gap: 4 * share };
      const hoop = { ...fixed, ...rest, ...(fixed.form === "bridge" && { bridge }) };
      switch (work) {
        case "none":
          return hoop;
        case "slit":
          return { ...hoop, slit: { length: 4 + 12 * share, kerf: 0.2 * width, spread: width + 2 * share } };
        case "strands":
          return { ...hoop, strands: { count: 2 + Math.floor(3 * share), soldered: "all" } };
        case "spread":
          return { ...hoop, strands: { count: 2 + Math.floor(2 * share), soldered: 10 * share, spread: width * (4 + 2 * share) } };
        case "taper":
          return { ...hoop, stock: { ...hoop.stock, backWidth: width * (0.5 + share) } };
        case "twist":
          return {
            ...hoop,
            stock: {
              ...hoop.stock,
              twist: {
                wire: thickness * (0.4 + 0.4 * share),
                turns: 1 + 3 * share,
                plies: 2 + Math.floor(3 * share),
                soldered: share > 0.5,
              },
            },
          };
        case "sleeve":
          return { ...hoop, form: "closed", sleeve: { thickness: 1 + 2 * share, inlay: { width: 1, depth: 0.5 * share + 0.05 } } };
      }
    });
}

/** What settings hang by, each by its own eye. */
function anyBail(mounts: readonly string[]): fc.Arbitrary<Piece["carrier"]> {
  const shared = partly({ metal, hangAxis: fc.double({ min: -360, max: 360, noNaN: true }) });
  const eyes = fc.tuple(...mounts.map((mount) => place.map((at) => ({ mount, at }))));
  const ring = fc.record({ type: fc.constant("jump-ring" as const), inside: small, wire: small });
  const sheet = fc.record({
    type: fc.constant("bail" as const),
    style: fc.constantFrom("folded" as const, "tube" as const),
    bore: small,
    drop: small,
    thickness: small,
    chainEnd: small,
  });
  const inBail = fc.option(fc.record({ inside: small, wire: small }), { nil: undefined });
  const hung = fc.tuple(fc.oneof(ring, sheet), shared, eyes, fc.boolean(), inBail).map(([bail, rest, eyes, isChosen, inIt]) => ({
    ...bail,
    ...rest,
    ...(isChosen && { eyes }),
    ...(bail.type === "bail" && inIt && { ring: inIt }),
  }));
  return mounts.length > 1 ? hung : fc.oneof({ weight: 2, arbitrary: hung }, { weight: 1, arbitrary: anyWorn() });
}

/** What goes through an ear. */
function anyWorn(): fc.Arbitrary<Piece["carrier"]> {
  const wire = fc.double({ min: 0.4, max: 1.4, noNaN: true });
  const length = fc.double({ min: 5, max: 60, noNaN: true });
  const spot = fc.double({ min: -8, max: 8, noNaN: true });
  const posts = fc.record({ type: fc.constant("posts" as const), wire, length, at: fc.tuple(spot, spot) });
  const eye = fc.record({ at: place, turn: fc.double({ min: -60, max: 60, noNaN: true }) });
  return fc.oneof(posts, fc.record({ type: fc.constant("ear-wires" as const), wire, length, eye }));
}

/** Stones from a grain to the largest the schema takes, on one to three mounts. */
export function anyPiece(): fc.Arbitrary<Piece> {
  const size = fc.oneof(fc.double({ min: 2, max: 40, noNaN: true }), fc.double({ min: 0.05, max: 200, noNaN: true }));
  const heats = partly({
    shelf: fc.constantFrom("typical", "narrow", "unknown"),
    way: fc.constantFrom("free" as const, "step-down" as const, "one-grade" as const, "fuse-first" as const, "seams-hard" as const),
    overshoot: fc.integer({ min: 0, max: 14 }),
    pins: fc.array(
      fc.constantFrom(
        { joint: "m1.foot", grade: "easy" },
        { shield: "m1.seam" },
        { before: ["hoop.seam", "m1.seam"] as const },
        { joint: "none.such", grade: "hard" },
        { joint: "m1.foot", means: "paste" as const },
        { joint: "hoop.seam", means: "sweat" as const },
        { joint: "hoop.mount.m1", means: "cold" as const },
        { leave: "m1.foot" },
        { add: { id: "own", parts: ["m1.wall", "hoop"], length: 3 } },
      ),
      { maxLength: 3 },
    ),
  });
  return fc
    .record({
      mounts: fc.oneof(
        fc.tuple(mountCalled("m1", size)),
        fc.tuple(mountCalled("m1", size), mountCalled("m2", size)),
        fc
          .tuple(mountCalled("m1", size), mountCalled("m2", size), offset, offset, turn)
          .map(([one, other, x, y, by]) => [one, sharing(other, [x, y], by)]),
      ),
      carrier: fc.oneof({ weight: 4, arbitrary: anyHoop() }, { weight: 1, arbitrary: fc.constant({ type: "none" as const }) }),
      bails: fc.tuple(anyBail(["m1"]), anyBail(["m1", "m2"])),
      hangs: fc.nat({ max: 3 }),
      put: fc.oneof(
        { weight: 3, arbitrary: fc.constant([]) },
        { weight: 1, arbitrary: fc.array(anyApplied, { minLength: 1, maxLength: 2 }) },
      ),
      heats,
    })
    .map(({ bails, hangs, ...parts }) =>
      hangs === 0 ? { ...parts, carrier: bails[parts.mounts.filter(({ on }) => on === undefined).length - 1]! } : parts,
    )
    .map(({ put, ...parts }) =>
      putOn({ format: "hoop-ledger/piece", version: 3, id: "any", name: "Any", kind: "ring", ...parts } as unknown as Piece, put),
    )
    .filter((piece) => faultsOf(piece, SHIPPED_BENCH).length === 0);
}

/** A bench that overrules some of the defaults. */
export function anyBench(): fc.Arbitrary<BenchEntry> {
  return partly({
    seatOf: partly({ fit: loss, catch: fc.double({ min: 0.05, max: 1, noNaN: true }) }),
    overshoot: fc.integer({ min: 0, max: 14 }),
    losses: partly({ wall: partly({ squaring: loss, mark: loss }), hoop: partly({ squaring: loss, kerf: loss }) }),
  }).map((bench) => ({ ...SHIPPED_BENCH, ...bench }));
}
