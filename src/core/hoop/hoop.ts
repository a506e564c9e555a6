import { type Contribution, type WorkedJoint } from "../joint/contribution";
import { type Part } from "../joint/joint";
import { type Step, step } from "../making/step";
import { type Blank, layBlank } from "../measure/blank";
import { type Finding, finding } from "../measure/finding";
import { type Figure, type Figures, type OwnLoss, type School, type Sourced, single, sum, taken, term } from "../measure/figure";
import { unusualFindings } from "../measure/usual";
import { type Cut, cutToLength } from "../metal/cut";
import { type Metal, massOf } from "../metal/metals";
import { type Section, fibre, sectionArea } from "../metal/section";
import { type SizeSystem, sizeLost } from "./sizes";
import { type Bridge } from "./forms/bridge";
import { type Arch } from "./forms/form";
import { FORMS } from "./forms/forms";
import { roundTheHoop } from "./placing";
import { type Base, type Seat, touching } from "./seat";
import { hoopParts } from "./works/strands";
import { type LaidHoop, type Works } from "./works/work";
import { bandWidth, eachWork, throughWorks } from "./works/works";

/** Forms of the contract. */
export type HoopForm = "closed" | "closed-flat" | "open" | "bridge" | "adjustable";
export type LengthRule = "fibre" | "thickness" | { readonly multiplier: number };

export interface HoopLosses {
  readonly squaring: Sourced<number>;
  readonly mark: Sourced<number>;
  /** How often a closed seam is sawn through to true it. */
  readonly sawPasses: Sourced<number>;
  readonly kerf: Sourced<number>;
  /** What hammering makes it gain. */
  readonly hammer: Sourced<number>;
}

/** A hoop with every value settled. */
export interface Hoop {
  readonly form: HoopForm;
  readonly metal: Metal;
  readonly section: Section;
  /** Inside diameter of the size asked for, and how the maker says it. */
  readonly size: Sourced<number>;
  readonly asked: { readonly system: SizeSystem; readonly value: string };
  /** What a wide band adds to it. */
  readonly wideBand: Sourced<number>;
  readonly rule: LengthRule;
  readonly losses: HoopLosses;
  /** What the maker's own hands take off a blank with a seam, in place of squaring, saw and mark; null where the bench has not agreed to one. */
  readonly learned: OwnLoss | null;
  readonly flatWidth: Sourced<number> | null;
  readonly saddleWidth: Sourced<number> | null;
  /** mm that an open hoop's plate lies over the finger, and that an adjustable one's ends stand apart. */
  readonly plateAbove: Sourced<number>;
  readonly openGap: Sourced<number>;
  readonly bridge: Bridge;
  readonly works: Works;
  /** What is worked into its stock. */
  readonly texture: string | null;
}

export interface HoopPlan extends Contribution {
  readonly seats: readonly Seat[];
  readonly arch: Arch | null;
}

/** Multipliers that makers use in place of pi, so that the padding grows with the ring. */
const BENCH_MULTIPLIERS = [3.145, 3.15, 3.5] as const;
/** What is left to overlap where a blank is cut long and sawn through to its length (mm). */
const OVERLAP = 5;
/** Over which the length that a mm of diameter takes is read (mm). */
const STEP = 1e-3;

/** Length of one strand of the hoop round an inside diameter, with all that its works add. */
export function netLength(hoop: Hoop, inside: number): Figure {
  const { value, terms } = FORMS[hoop.form].netLength(hoop, inside);
  return sum("mm", [...terms, ...eachWork(hoop.works, (kind, asked) => kind.net?.(asked, hoop, value)).flat()]);
}

/** What a millimetre of length takes off the inside diameter: 1 / pi of a closed hoop. */
function lostPerMillimetre(hoop: Hoop, inside: number): number {
  return (2 * STEP) / (netLength(hoop, inside + STEP).value - netLength(hoop, inside - STEP).value);
}

/** Whether it is closed on itself, so that it is sized at its seam. */
export function hasSeam(hoop: Hoop): boolean {
  return FORMS[hoop.form].seams(hoop).length > 0;
}

/** mm from the finger's centre to the hoop's outside, and all that stands on it. */
export function outsideOf({ section, works }: Hoop, inside: number): number {
  return inside / 2 + section.thickness + eachWork(works, (kind, asked) => kind.stands?.(asked)).reduce((all, each) => all + each, 0);
}

/** All that a hoop that carries these bases adds to a piece. */
export function planHoop(hoop: Hoop, bases: readonly Base[]): HoopPlan {
  const form = FORMS[hoop.form];
  const inside = sum("mm", [taken("size", hoop.size), taken("wideBand", hoop.wideBand)]);
  const neutral = fibre(hoop.section);
  const net = netLength(hoop, inside.value);
  const cut = cutLength(hoop, net);
  const outside = outsideOf(hoop, inside.value);
  const laid: LaidHoop = { hoop, inside: inside.value, net: net.value, terms: net.terms, cut: cut.value };
  const mass = massOf(
    hoop.metal,
    net.value * throughWorks(hoop.works, sectionArea(hoop.section), (kind, asked, volume) => kind.volume?.(asked, hoop, volume)),
  );
  const seats = bases.map((base) => form.seat(hoop, outside, base));
  const extra = form.extra(hoop, outside, bases);
  const closed = closedBy(hoop, laid);
  const before = [...closed, ...extra.joints];
  const made = making(hoop, laid);
  /** What is left to do when its joints are made: of one that none of them closes, all. */
  const isClosed = closed.some(({ kind }) => kind !== "twist");
  const formed = [...made.flat, ...made.bent, ...(isClosed ? [] : [made.round])];
  return {
    seats,
    arch: extra.arch,
    figures: {
      "hoop.insideDiameter": inside,
      "hoop.fibre": single("mm", neutral.distance, neutral.note),
      "hoop.netLength": net,
      "hoop.cutLength": { ...cut, schools: otherRules(hoop, inside.value) },
      "hoop.padding": sum("mm", [padding(hoop, net)]),
      "hoop.mass": single("g", mass, "density"),
      "hoop.lostPerMillimetre": single("mm", lostPerMillimetre(hoop, inside.value), "lostPerMillimetre"),
      ...(Object.assign({}, ...eachWork(hoop.works, (kind, asked) => kind.figures?.(asked, laid))) as Figures),
      ...extra.figures,
      ...seatFigures(seats),
    },
    findings: [
      ...wideFindings(hoop),
      ...unusualFindings("hoop.unusual", hoop.section.thickness, HOOP),
      ...ruleFindings(hoop, neutral.distance),
      ...eachWork(hoop.works, (kind, asked) => kind.findings?.(asked, laid)).flat(),
      ...extra.findings,
      ...seats.flatMap((seat) => seat.findings),
      ...underFindings(hoop, closed, outside, bases),
      ...touching(outside, bases, seats),
    ],
    parts: [...ownParts(hoop, mass), ...eachWork(hoop.works, (kind, asked) => kind.parts?.(asked, laid)).flat(), ...extra.parts],
    joints: [
      ...closed,
      ...extra.joints,
      ...cold(hoop, laid),
      ...seats.flatMap((seat, i) => mountJoints(outside, bases, i, seat, [...before, ...cold(hoop, laid)], isClosed ? [] : formed)),
    ],
    cuts: [...blanks(hoop, laid), ...eachWork(hoop.works, (kind, asked) => kind.cuts?.(asked, laid)).flat(), ...extra.cuts],
    laid: { [HOOP]: layHoop(hoop, net.value, cut.value) },
    first: [],
    finish: [],
    last: [],
    made: { ...Object.fromEntries(hoopParts(hoop).map((part) => [part, { flat: made.flat, formed }])), ...extra.made },
  };
}

/** The blank as it is cut, from its end. */
function layHoop(hoop: Hoop, net: number, cut: number): Blank {
  const { learned, losses } = hoop;
  const lead = Math.min(losses.squaring.value, learned?.value ?? Infinity) / 2;
  const marks = FORMS[hoop.form].marks(hoop, net);
  return layBlank(net, lead, cut - net - lead, [
    ...marks,
    ...eachWork(hoop.works, (kind, asked) => kind.marks?.(asked, net, marks.find(({ code }) => code === "front")?.at ?? 0)).flat(),
  ]);
}

const HOOP = "hoop";

/** Its stock, once for each strand, or what that is made of. */
function blanks(hoop: Hoop, laid: LaidHoop): readonly Cut[] {
  const made = eachWork(hoop.works, (kind, asked) => kind.stockCuts?.(asked, laid)).flat();
  if (made.length > 0) return made;
  const { shape: section, width, thickness } = hoop.section;
  return hoopParts(hoop).map((part) =>
    cutToLength({ part, mount: null, metal: hoop.metal }, { form: "wire", section, width, thickness }, "hoop.cutLength", laid.cut),
  );
}

function ownParts(hoop: Hoop, mass: number): Part[] {
  const ids = hoopParts(hoop);
  return ids.map((id) => ({
    id,
    kind: ids.length === 1 ? "hoop" : "strand",
    mount: null,
    metal: hoop.metal,
    mass: mass / ids.length,
    thickness: hoop.section.thickness,
  }));
}

/** How a hoop is made: its stock, its blank while it is flat, and what is done once it is closed or bent. */
function making(hoop: Hoop, laid: LaidHoop) {
  const of = (when: "stock" | "flat" | "bent") => eachWork(hoop.works, (kind, asked) => kind.steps?.(asked, laid)[when]).flat();
  const flat: Step[] = [
    ...of("stock"),
    ...textured(hoop),
    step(HOOP, "hoop.cut", {
      target: "hoop.cutLength",
      reads: [
        { figure: "hoop.cutLength", kind: "blank", mount: null },
        { figure: "hoop.thickness", kind: "thickness", mount: null, planned: hoop.section.thickness },
      ],
      checks: ["ends.noBurr"],
      cautions: ["saw"],
    }),
    step(HOOP, "hoop.square", { checks: ["ends.square"] }),
    ...of("flat"),
  ];
  const bent = [...FORMS[hoop.form].bent(hoop), ...of("bent")];
  const { system, value } = hoop.asked;
  const round = step(HOOP, "hoop.round", {
    target: "hoop.insideDiameter",
    reads: [{ figure: "hoop.insideDiameter", kind: "size", mount: null }],
    checks: ["hoop.round", "hoop.size"],
    values: { system, size: value, seam: hasSeam(hoop) ? 1 : 0 },
  });
  return { flat, bent, round };
}

/** Texture is worked in before anything is cut to length, as it moves metal: a wide band is measured across again. */
function textured({ texture, section, wideBand }: Hoop): Step[] {
  if (texture === null) return [];
  const isWide = wideBand.value > 0;
  return [
    step(HOOP, "hoop.texture", {
      reads: [
        { figure: "hoop.thickness", kind: "thickness", mount: null, planned: section.thickness },
        ...(isWide ? [{ figure: "hoop.width", kind: "thickness" as const, mount: null, planned: section.width }] : []),
      ],
      cautions: ["hammerFlat"],
      values: { texture, wide: isWide ? 1 : 0 },
    }),
  ];
}

/** The joints that make it one and close it: of its stock, before it is cut; then it is bent before its seams, and rounded up after them. */
function closedBy(hoop: Hoop, laid: LaidHoop): WorkedJoint[] {
  const { flat, bent, round } = making(hoop, laid);
  const stock = eachWork(hoop.works, (kind, asked) => kind.stockJoints?.(asked, laid)).flat();
  const afterStock = (joint: WorkedJoint): WorkedJoint => ({ ...joint, after: [...joint.after, ...stock.map(({ id }) => id)] });
  const tied = eachWork(hoop.works, (kind, asked) => kind.joints?.(asked, laid))
    .flat()
    .filter(({ isCold }) => !isCold)
    .map(afterStock);
  const seams = FORMS[hoop.form].seams(hoop).map(afterStock);
  return [
    ...stock,
    ...tied.map((joint, i): WorkedJoint => ({
      ...joint,
      work: { ...joint.work, before: flat, ...(seams.length === 0 && i === tied.length - 1 && { after: [...bent, round] }) },
    })),
    ...seams.map((seam): WorkedJoint => ({
      ...seam,
      work: { ...seam.work, before: [...flat, ...bent], ...(seams.length === 1 ? { after: [round] } : { afterAll: [round] }) },
    })),
  ];
}

function cold(hoop: Hoop, laid: LaidHoop): WorkedJoint[] {
  return eachWork(hoop.works, (kind, asked) => kind.joints?.(asked, laid))
    .flat()
    .filter(({ isCold }) => isCold);
}

/**
 * A mount is joined to the hoop once both sit: by one joint, or by each of its feet. On what is cold already it is joined cold. The first one's seat has
 * the hoop's own step, so that one more mount leaves its tick.
 */
function mountJoints(
  outside: number,
  bases: readonly Base[],
  i: number,
  { act, feet, target }: Seat,
  earlier: readonly WorkedJoint[],
  made: readonly Step[],
): WorkedJoint[] {
  const { mount, tie } = bases[i]!;
  const of = bases.length === 1 ? "" : mount;
  const isCold = earlier.some((joint) => joint.isCold);
  return feet.map(({ length, area, parts }, n) => ({
    id: `${HOOP}.mount.${mount}${feet.length === 1 ? "" : `.${n + 1}`}`,
    kind: "mount",
    mount,
    parts: [tie.part, ...parts],
    length,
    area,
    place: "front",
    after: [...tie.after, ...earlier.map(({ id }) => id)],
    follows: [`${mount}.hoop`],
    ...(isCold && { isCold }),
    // The hoop stands on the setting, which lies face down.
    hold: { up: bases[i]!.along / outside + Math.PI, mount, isLoose: false },
    work: {
      before: [
        ...made,
        step(i === 0 ? HOOP : mount, `hoop.${act}`, {
          works: [tie.part, ...parts],
          target: `${mount}.hoop.${target}`,
          checks: [act === "feet" ? "feet.stand" : "hoop.sitsFlat"],
          values: { of },
        }),
        // The same step of the first mount for each: what is hard to reach is finished once, before the first is joined.
        ...(isCold
          ? []
          : [
              step(bases[0]!.mount, "join.finish", { works: [tie.part, ...parts], checks: ["parts.reached"], cautions: ["dust", "wheel"] }),
            ]),
      ],
      lookedFor: ["joint.bright", "mount.square"],
      after: [],
    },
  }));
}

/** Each seat's figures under its mount's name; those of the only one under the hoop's as well. */
function seatFigures(seats: readonly Seat[]): Figures {
  const named = (of: string, { figures }: Seat) => Object.entries(figures).map(([name, figure]) => [`${of}hoop.${name}`, figure] as const);
  const [first] = seats;
  return Object.fromEntries([
    ...seats.flatMap((seat) => named(`${seat.mount}.`, seat)),
    ...(first && seats.length === 1 ? named("", first) : []),
  ]);
}

/** What a bench multiplier adds to a net length counted with pi. */
function padding({ rule }: Hoop, net: Figure) {
  return term(
    "padding",
    typeof rule === "object" ? net.value * (rule.multiplier / Math.PI - 1) : 0,
    typeof rule === "object" ? "piece" : "formula",
  );
}

/** A net length with all that comes off the blank on the way to it. */
export function cutLength(hoop: Hoop, net: Figure): Figure {
  const padded = padding(hoop, net);
  const { hammer } = hoop.losses;
  return sum("mm", [
    ...net.terms,
    ...(padded.value === 0 ? [] : [padded]),
    ...eachWork(hoop.works, (kind, asked) => kind.cut?.(asked, hoop)).flat(),
    ...FORMS[hoop.form].losses(hoop),
    ...(hammer.value === 0 ? [] : [term("hammer", -hammer.value, hammer.from)]),
  ]);
}

/** The blank by each other rule; and of a hoop with a seam cut long, wrapped, and sawn through the overlap in place of squaring its ends. */
function otherRules(hoop: Hoop, inside: number): School[] {
  const named = (rule: LengthRule) => (typeof rule === "object" ? String(rule.multiplier) : rule);
  const rules: LengthRule[] = ["fibre", "thickness", ...BENCH_MULTIPLIERS.map((multiplier) => ({ multiplier }))];
  const { squaring, kerf } = hoop.losses;
  const cut = cutLength(hoop, netLength(hoop, inside)).value;
  return [
    ...rules
      .filter((rule) => named(rule) !== named(hoop.rule))
      .map((rule) => {
        const other = { ...hoop, rule };
        return { rule: named(rule) as School["rule"], value: cutLength(other, netLength(other, inside)).value };
      }),
    ...(hasSeam(hoop) ? [{ rule: "long" as const, value: cut - squaring.value + kerf.value + OVERLAP }] : []),
  ];
}

/** A wide band, told in sizes of the maker's own system; of a mandrel in US ones. */
function wideFindings({ section, works, wideBand, size, asked }: Hoop): Finding[] {
  if (wideBand.value <= 0) return [];
  const system = asked.system === "mandrel" ? "us" : asked.system;
  const sizes = sizeLost(system, size.value + wideBand.value, wideBand.value);
  return [finding("hoop.wide-band", "note", HOOP, { width: bandWidth(section, works), add: wideBand.value, sizes, system })];
}

/** Counting half the thickness of a wire whose fibre lies nearer the finger makes the ring large. */
function ruleFindings(hoop: Hoop, distance: number): Finding[] {
  const over = hoop.section.thickness - 2 * distance;
  return hoop.rule === "fibre" || over <= 0 ? [] : [finding("hoop.rule-large", "note", HOOP, { over })];
}

/** A seam under a setting is heated with it; a plate wider than the hoop presses on the fingers beside it. */
function underFindings(hoop: Hoop, joints: readonly WorkedJoint[], outside: number, bases: readonly Base[]): Finding[] {
  const seams = joints.filter(({ kind }) => kind === "seam").map(({ place }) => (place === "front" ? 0 : Math.PI * outside));
  return bases.flatMap(({ mount, along, extent }) => {
    const apart = Math.min(Infinity, ...seams.map((at) => roundTheHoop(outside, along - at)));
    return [
      ...(apart < extent / 2 ? [finding("hoop.seam-under", "warning", HOOP, { mount, apart, half: extent / 2 }, mount)] : []),
      ...(extent > 2 * outside ? [finding("hoop.plate-wide", "warning", HOOP, { mount, extent, across: 2 * outside }, mount)] : []),
    ];
  });
}
