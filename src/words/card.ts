import { METALS } from "@/core/metal/metals";
import { BAIL_WORDS } from "./bails";
import { type DoubtOf, SURE, doubtAmong } from "@/core/piece/doubt";
import { type Figure, figureOf } from "@/core/measure/figure";
import { secondText } from "./second";
import { hosts, ornamentOf } from "@/core/piece/mounts";
import { type Mount, type Piece } from "@/core/piece/piece";
import { type Step, isHeating } from "@/core/making/step";
import { type Plan, bailIn, hoopIn, postIn } from "@/core/piece/plan";
import { WORK_NAMES } from "@/core/hoop/works/works";
import { greatestTurnIn } from "@/core/stone/stone";
import { giveOrTake } from "./hoop-size";
import { BLANK, DOUBTS } from "./doubt";
import { appliedText } from "./applied";
import { sayWork } from "./hoop-works";
import { eyeText, hangsText } from "./hang";
import { TERM_NAMES } from "./terms";
import { FORM_NAMES, SECTION_NAMES, SYSTEM_NAMES, capital, namesIn } from "./names";
import { type Rounding, type Units, lengthUnit, printable, showFigureValue, showLength, showPercent, withUnit } from "./show";
import { type Bare, sayBack } from "./backs";
import { ornamentText, sayOrnament } from "./ornament";
import { type BentWire } from "@/core/earring/ear-wire";
import { bareIn, figureText, postAside, roundingOf, sayStep } from "./steps";
import { addingUp, sumText } from "./sums";
import { wallHolds, wallStock } from "./wall-stock";

/** A line of the card. `sum` is what it is the sum of; `doubt` says why there are blanks in it, to be written in by hand. */
export interface CardRow {
  readonly label: string;
  readonly text: string;
  readonly sum?: string;
  readonly doubt?: string;
}

/** How a card says the lengths of a plan, with a blank where one cannot be trusted. */
interface Pen {
  readonly plan: Plan;
  readonly units: Units;
  readonly doubtOf: DoubtOf;
  /** A figure's length with its unit, rounded as its kind is. */
  figure(key: string, rounding?: Rounding): string;
  /** The same without its unit. */
  bare(key: string, rounding?: Rounding): string;
  /** Figures as they are told beside others. */
  readonly told: Bare;
  /** A text that rests on fields and figures with these keys. */
  readonly sure: (keys: readonly string[], text: string) => string;
}

function penOf(plan: Plan, units: Units, doubtOf: DoubtOf): Pen {
  const bare = (key: string, rounding: Rounding = roundingOf(key)) =>
    doubtOf(key) ? BLANK : showLength(figureOf(plan.figures, key).value, rounding, units);
  return {
    plan,
    units,
    doubtOf,
    bare,
    told: bareIn(plan, units, doubtOf),
    figure: (key, rounding) => `${bare(key, rounding)} ${lengthUnit(units)}`,
    sure: (keys, text) => (doubtAmong(keys, doubtOf) ? BLANK : text),
  };
}

/** The sizes of a piece, setting by setting, with the sums of what is cut to length. */
export function cardRows(piece: Piece, plan: Plan, units: Units, doubtOf: DoubtOf = SURE): CardRow[] {
  const pen = penOf(plan, units, doubtOf);
  return [
    ...piece.mounts.flatMap((mount) => mountRows(mount, numbered("Stone", piece, mount.id), pen)),
    ...hoopRows(piece, pen),
    ...bailRows(piece, pen),
    ...plan.drawing.applied.map((each) =>
      row(
        pen,
        [`applied.${each.id}.mass`],
        capital(namesIn(plan).part(`applied.${each.id}`)),
        `${appliedText(each, units)}, on the ${namesIn(plan).part(each.on)}`,
      ),
    ),
    ...weightRows(piece, pen),
  ];
}

/** What every part weighs, and all of it by its metals; of a pair, of one. */
function weightRows({ copies = 1 }: Piece, pen: Pen): CardRow[] {
  const { plan, units, sure } = pen;
  const names = namesIn(plan);
  const whole = figureOf(plan.figures, "piece.mass");
  const shown = (values: readonly number[]) => addingUp(values, "g", units).map((value) => showFigureValue(value, "g", units));
  const masses = shown(plan.parts.map(({ mass }) => mass));
  const parts = plan.parts.map(({ id }, i) => `${names.part(id)} ${masses[i]!}`);
  const ofMetals = shown(whole.terms.map(({ value }) => value));
  const metals = whole.terms.map(({ label }, i) => `${TERM_NAMES[label]} ${ofMetals[i]!}`);
  const each = copies === 1 ? "" : ` each, made ${copies === 2 ? "twice, the second mirrored" : `${copies} times`}`;
  return [
    row(
      pen,
      ["piece.mass"],
      "Metal",
      sure(
        ["piece.mass"],
        `${showFigureValue(whole.value, "g", units)}${each}: ${parts.join(", ")}${metals.length > 1 ? `; ${metals.join(", ")}` : ""}`,
      ),
    ),
  ];
}

/** What it hangs by, and how. */
function bailRows(piece: Piece, pen: Pen): CardRow[] {
  const bail = bailIn(pen.plan);
  if (!bail) return [...postRows(pen), ...secondRows(piece, pen)];
  const { settled, drawn } = bail;
  const { style, bore, metal, chainEnd } = settled;
  const length = (mm: number) => showLength(mm, "measured", pen.units);
  const unit = lengthUnit(pen.units);
  const key = drawn.cut;
  const said = BAIL_WORDS[style].said(settled, pen.figure(key), length);
  const chain = chainEnd === null ? "" : `, chain's end ${length(chainEnd)}`;
  const figure = figureOf(pen.plan.figures, key);
  return [
    row(
      pen,
      [key],
      "Bail",
      `${said}; bore ${length(bore)}, drop ${length(drawn.pastEdge)} ${unit}${chain}; ${METALS[metal].name}`,
      figure.terms.length > 1 ? { figure, rounding: "blank" } : undefined,
    ),
    ...(settled.ring
      ? [
          row(
            pen,
            ["bail.ringLength"],
            "Ring in it",
            `${pen.figure("bail.ringLength")} of wire ${length(settled.ring.wire)}, ${length(settled.ring.inside)} inside; closed cold`,
          ),
        ]
      : []),
    ...(drawn.earWire ? [earWireRow(pen, drawn.earWire)] : []),
    ...drawn.hangs.map((hang) => {
      const eye = eyeText(hang.aside, (mm) => `${length(mm)} ${unit}`);
      return row(
        pen,
        ["hang.tilt", `${hang.mount}.hang.tilt`],
        drawn.hangs.length === 1 ? "Hangs" : numbered("Hangs", piece, hang.mount),
        `eye ${eye}; ${hangsText(hang.tilt)}`,
      );
    }),
    ...secondRows(piece, pen),
  ];
}

/** What the second of a pair has otherwise than the first. */
function secondRows(piece: Piece, pen: Pen): CardRow[] {
  const said = secondText(pen.plan, piece, pen.units);
  return said === null ? [] : [row(pen, ["hang.tilt", "post.cutLength"], "Second", said)];
}

/** An ear wire, and what hangs on it. */
function earWireRow(pen: Pen, { wire, eye, bow, runs }: BentWire): CardRow {
  const length = (mm: number) => showLength(mm, "measured", pen.units);
  const bent = `eye ${length(eye)} inside, bow ${length(bow)} inside, ${length(runs.front)} between`;
  return row(
    pen,
    ["earwire.cutLength", "earring.mass"],
    "Ear wire",
    `${pen.figure("earwire.cutLength")} of wire ${length(wire)}; ${bent}; ${earring(pen)}`,
  );
}

/** A post, and where it stands. */
function postRows(pen: Pen): CardRow[] {
  const post = postIn(pen.plan);
  if (!post) return [];
  const { wire, at, balance, metal } = post.drawn;
  const length = (mm: number) => withUnit(mm, "measured", pen.units);
  const where = `${length(Math.abs(balance[0] - at[0]))} ${at[0] > balance[0] ? "below" : "above"} where it balances, ${postAside(at[1], length)}`;
  return [
    row(
      pen,
      ["post.cutLength", "earring.mass"],
      "Post",
      `${pen.figure("post.cutLength")} of wire ${showLength(wire, "measured", pen.units)}, ${METALS[metal].name}; ${where}; ${earring(pen)}`,
    ),
  ];
}

/** "27.0 mm long, weighs 1.35 g". */
function earring({ plan, units, sure }: Pen): string {
  const [long, weighs] = ["earring.length", "earring.mass"].map((key) => sure([key], figureText(key, figureOf(plan.figures, key), units)));
  return `${long} long, weighs ${weighs}`;
}

/** What is cut to length, and how its length is told. */
interface Cut {
  readonly figure: Figure;
  readonly rounding: Rounding;
}

/** A row, its sum left out and its doubt told where one of these keys cannot be trusted. */
function row(pen: Pen, keys: readonly string[], label: string, text: string, sum?: Cut): CardRow {
  const doubt = doubtAmong(keys, pen.doubtOf);
  if (doubt) return { label, text, doubt: DOUBTS[doubt] };
  return sum ? { label, text, sum: sumText(sum.figure, pen.units, sum.rounding) } : { label, text };
}

/** A row's label, numbered where the piece has several settings. */
function numbered(label: string, { mounts }: Piece, mount: string): string {
  return mounts.length === 1 ? label : `${label} ${mounts.findIndex(({ id }) => id === mount) + 1}`;
}

function mountRows(mount: Mount, label: string, pen: Pen): CardRow[] {
  const { id, wall } = mount;
  const { plan, units } = pen;
  const of = (name: string) => `${id}.${name}`;
  const thick = (mm: number) => withUnit(mm, "measured", units);
  const { wall: settled } = plan.settled.mounts[id]!;
  const stock = wallStock(plan, id, units);
  const back = sayBack(plan, id, pen.told, units);
  return [
    row(pen, [of("stone")], label, stoneText(mount, pen)),
    row(
      pen,
      [stock.key, of("wall.cutHeight")],
      STOCK_LABELS[stock.name],
      `${stockText(id, pen)}; ${METALS[wall.metal].name}, ${thick(settled.thickness)}`,
      { figure: stock.figure, rounding: stock.name === "strip" ? "strip" : "measured" },
    ),
    ...sourceRows(id, pen),
    row(
      pen,
      [of("wall.netLength"), of("wall.netHeight")],
      "Finished",
      `${pen.bare(of("wall.netLength"), "measured")} × ${pen.figure(of("wall.netHeight"), "measured")}${shownText(id, pen)}`,
    ),
    row(
      pen,
      [back.rests],
      back.label,
      back.card,
      back.cut === null ? undefined : { figure: figureOf(plan.figures, back.cut), rounding: roundingOf(back.cut) },
    ),
    ...ornamentOf(mount).map((entry) => {
      const said = sayOrnament(plan, id, entry, pen.told, units);
      return row(pen, [said.figure], said.name, ornamentText(said, units));
    }),
    ...struckRows(mount, pen),
  ];
}

/** What is struck into the back, and drilled through it. */
function struckRows({ plate }: Mount, { units }: Pen): CardRow[] {
  const { stamp = null, drain = null } = plate ?? {};
  const length = (mm: number) => showLength(mm, "measured", units);
  const said = [
    ...(stamp ? [`stamp ${length(stamp.width)} × ${length(stamp.height)}`] : []),
    ...(drain ? [`drain ${length(drain.diameter)}`] : []),
  ];
  return said.length > 0 ? [{ label: "Back", text: `${said.join(", ")} ${lengthUnit(units)}` }] : [];
}

/** What of the face is left open by a wall that holds. */
function shownText(id: string, { plan, sure }: Pen): string {
  if (!wallHolds(plan, id)) return "";
  const key = `${id}.wall.faceShown`;
  return `, shows ${sure([key], showPercent(figureOf(plan.figures, key).value))} of the face`;
}

const STOCK_LABELS = { strip: "Cut strip", tube: "Tube", cup: "Cup" } as const;

/** "chrysoprase, 16.00 × 12.00 mm, 44.21 round, 5.20 tall, leans in at 1.90". */
function stoneText({ id, stone }: Mount, pen: Pen): string {
  const length = (key: string, mm: number) => pen.sure([key], showLength(mm, "measured", pen.units));
  return [
    printable(stone.material?.name ?? stone.name ?? "") || "stone",
    `${pen.bare(`${id}.stone.length`)} × ${pen.figure(`${id}.stone.width`)}`,
    `${pen.bare(`${id}.outline.perimeter`)} perimeter`,
    `${length(`${id}.stone.height`, stone.height)} tall`,
    stone.dome === "flat" ? "flat face" : `leans in at ${length(`${id}.stone.turnIn`, greatestTurnIn(stone))}`,
  ].join(", ");
}

function stockText(id: string, pen: Pen): string {
  const { name, size, sense, key } = wallStock(pen.plan, id, pen.units);
  if (name === "strip") return `${pen.figure(key)} long, slit to ${pen.figure(`${id}.wall.cutHeight`)} tall`;
  return `${pen.sure([key, `${id}.wall.cutHeight`], size)} ${lengthUnit(pen.units)}, ${sense}`;
}

/** What only a notched wall, a tube or a cup has; each as it is said round its length. */
const OF_SOURCES: readonly { readonly name: string; readonly say: (length: string) => string }[] = [
  { name: "notchPitch", say: (length) => `every ${length}` },
  { name: "notchGap", say: (length) => `gaps ${length} wide` },
  { name: "notchDepth", say: (length) => `${length} deep` },
  { name: "seatBore", say: (length) => `seat cut with a burr ${length} across` },
  { name: "seatDepth", say: (length) => `${length} deep` },
  { name: "wallLeft", say: (length) => `${length} of wall left` },
  { name: "shelf", say: (length) => `a floor ${length} wide` },
  { name: "gap", say: (length) => `${length} of room in it` },
  { name: "thin", say: (length) => `thin the rim by ${length}` },
];

function sourceRows(id: string, pen: Pen): CardRow[] {
  const key = (name: string) => `${id}.wall.${name}`;
  const { figures } = pen.plan;
  const has = OF_SOURCES.filter(({ name }) => key(name) in figures);
  const notches = figures[key("notches")];
  const said = [
    ...(notches ? [`${pen.sure([key("notches")], String(notches.value))} teeth`] : []),
    ...has.map(({ name, say }) => say(pen.figure(key(name)))),
  ];
  const keys = has.map(({ name }) => key(name));
  return said.length > 0 ? [row(pen, keys, "", said.join(", "))] : [];
}

function hoopRows(piece: Piece, pen: Pen): CardRow[] {
  const { carrier } = piece;
  const hoop = hoopIn(pen.plan);
  if (carrier.type !== "hoop" || !hoop) return [];
  const { size, form } = carrier;
  const { section, metal, texture } = hoop.settled;
  const thick = (mm: number) => showLength(mm, "measured", pen.units);
  const asked = pen.sure(["hoop.size.value"], printable(size.value));
  return [
    row(
      pen,
      ["hoop.insideDiameter"],
      "Hoop",
      `${SYSTEM_NAMES[size.system]} ${asked}${giveOrTake(pen.plan)}, inside ${pen.figure("hoop.insideDiameter")}; ${FORM_NAMES[form]}`,
    ),
    row(
      pen,
      ["hoop.cutLength"],
      "Cut blank",
      `${pen.figure("hoop.cutLength")} of ${SECTION_NAMES[section.shape]} ${thick(section.width)} × ${thick(section.thickness)} ${lengthUnit(pen.units)}, ${METALS[metal].name}${texture === null ? "" : `, texture: ${printable(texture)}`}`,
      { figure: figureOf(pen.plan.figures, "hoop.cutLength"), rounding: "blank" },
    ),
    ...workRows(hoop, pen),
    ...hosts(piece).flatMap(({ id }, _, all) => seatRow(id, all.length === 1 ? "Seat" : numbered("Seat", piece, id), pen)),
  ];
}

/** What is done with a hoop's stock, and the arch over it. */
function workRows({ settled }: NonNullable<ReturnType<typeof hoopIn>>, pen: Pen): CardRow[] {
  const works = WORK_NAMES.flatMap((name) => {
    const asked = settled.works[name];
    return asked === undefined ? [] : [sayWork(name, asked as never, { bare: pen.told, units: pen.units })];
  });
  return [
    ...works.map(({ figure, text }) => row(pen, [figure], "", text)),
    ...("bridge.blankLength" in pen.plan.figures
      ? [
          row(
            pen,
            ["bridge.blankLength", "bridge.arm"],
            "Bridge",
            `blank ${pen.figure("bridge.blankLength")}, arms ${pen.figure("bridge.arm")}`,
          ),
        ]
      : []),
  ];
}

/** How each mount sits on the hoop. */
const OF_SEATS: readonly { readonly name: string; readonly say: (figure: string) => string }[] = [
  { name: "flat", say: (depth) => `flat ${depth} deep` },
  { name: "saddle", say: (depth) => `saddle ${depth} deep` },
  { name: "footAngle", say: (angle) => `feet meet the plate at ${angle}` },
  { name: "endAngle", say: (angle) => `ends filed ${angle} off square` },
  { name: "gripWidth", say: (width) => `opening ${width}` },
];

function seatRow(mount: string, label: string, pen: Pen): CardRow[] {
  const key = (name: string) => `${mount}.hoop.${name}`;
  const has = OF_SEATS.filter(({ name }) => key(name) in pen.plan.figures);
  const told = (name: string) => {
    const figure = figureOf(pen.plan.figures, key(name));
    return pen.sure([key(name)], figureText(key(name), figure, pen.units));
  };
  const said = has.map(({ name, say }) => say(told(name)));
  return said.length > 0
    ? [
        row(
          pen,
          has.map(({ name }) => key(name)),
          label,
          said.join(", "),
        ),
      ]
    : [];
}

/** A line of the making on a card. */
export interface CardStep {
  /** "36", or of a heat's steps "36–39". */
  readonly numbers: string;
  readonly title: string;
  readonly cautions: Step["cautions"];
}

/** The steps on a card, those of one heat in a line: what each asks for stands with the heats. */
export function cardSteps(plan: Plan, units: Units, doubtOf: DoubtOf = SURE): CardStep[] {
  const title = (step: Step) => sayStep(step, plan, units, doubtOf).title;
  return plan.steps.flatMap((step, i): CardStep[] => {
    if (step.heat === null) return [{ numbers: String(i + 1), title: title(step), cautions: step.cautions }];
    if (plan.steps[i - 1]?.heat === step.heat) return [];
    const ofHeat = plan.steps.filter(({ heat }) => heat === step.heat);
    return [
      {
        numbers: `${i + 1}–${i + ofHeat.length}`,
        title: title(ofHeat.find(isHeating) ?? step),
        cautions: [...new Set(ofHeat.flatMap(({ cautions }) => cautions))],
      },
    ];
  });
}
