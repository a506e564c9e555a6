import { type Lesson } from "@/core/practice/lessons";
import { type FluxStage } from "@/core/practice/flux";
import { type DryRun, type JointOutcome, type Outcome, type TryResult, EVEN } from "@/core/practice/outcome";
import { type Names, capital } from "./names";
import { type Units, lengthUnit, showLength, showApart, showTemperature } from "./show";

/** Seconds as a clock shows them. */
export function clockText(seconds: number): string {
  const whole = Math.floor(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, "0")}`;
}

const meltedText = (part: string, names: Names) => `${capital(names.part(part))} began to melt.`;
const openedText = (joint: string, names: Names) => `${capital(names.joint(joint))} ran again and opened.`;
const ranText = (joint: string, names: Names) => `${capital(names.joint(joint))} ran from end to end.`;

/** A try in one sentence: what counts most. */
export function resultText({ ran, dry, softened, opened, lost }: TryResult, isWon: boolean, names: Names): string {
  if (lost[0] !== undefined) return meltedText(lost[0], names);
  if (opened[0] !== undefined && !isWon) return openedText(opened[0], names);
  if (dry[0] !== undefined) return `${capital(names.joint(dry[0]))} did not run from end to end.`;
  if (softened[0] !== undefined && !isWon) return `${capital(names.joint(softened[0]))} was soft.`;
  if (ran.length > 1) return "All joints ran from end to end.";
  // a file of another program may name none
  return ran[0] === undefined ? "Nothing ran." : ranText(ran[0], names);
}

/** What happened in a try, a sentence each: what counts most first. */
export function outcomeTexts({ result, joints, soft, isWon }: Outcome, names: Names, units: Units): string[] {
  const lost = result.lost.map((part) => meltedText(part, names));
  const opened = result.opened.map((joint) => openedText(joint, names));
  const softened = soft
    .filter(({ joint }) => !result.opened.includes(joint))
    .map(({ joint, seconds }) => `${capital(names.joint(joint))} was soft for ${seconds.toFixed(1)} s.`);
  const ran = joints.filter(({ isMade }) => isMade).map(({ joint }) => ranText(joint, names));
  const dry = joints.filter(({ isMade }) => !isMade).flatMap((joint) => dryTexts(joint, names, units));
  const even =
    result.evenness === null
      ? []
      : [
          result.evenness <= EVEN
            ? `Even to ${showApart(result.evenness, units)}° along the joint.`
            : `${showApart(result.evenness, units)}° from the hottest to the coolest place of the joint: ${showApart(EVEN, units)} would be even.`,
        ];
  return [...lost, ...opened, ...(isWon ? ran : [...dry, ...ran]), ...softened, ...even];
}

function dryTexts({ joint, share, dry, isSpent }: JointOutcome, names: Names, units: Units): string[] {
  const name = capital(names.joint(joint));
  if (share === 0 && dry.every(({ climbed }) => climbed === null))
    return [isSpent ? `${name} never ran: its flux was spent.` : `${name} never ran.`];
  return dry.map((run) => `${name} is dry ${placeText(run, units)}${whyDry(run, names, units)}.`);
}

function placeText({ from, to }: DryRun, units: Units): string {
  return `from ${showLength(from, "measured", units)} to ${showLength(to, "measured", units)} ${lengthUnit(units)} along it`;
}

function whyDry({ climbed }: DryRun, names: Names, units: Units): string {
  return climbed ? `: solder climbed the ${names.part(climbed.part)}, which was ${showApart(climbed.hotter, units)}° hotter` : "";
}

/** A part's temperature through a heat, in a line of the terminal. */
export function courseText(part: string, mean: readonly number[], most: readonly number[], units: Units): string {
  const last = mean.length - 1;
  return `${part}: ${showTemperature(mean[last]!, units)} at the end, ${showTemperature(Math.max(...most), units)} at most`;
}

/** What each lesson is about. */
export const LESSON_TEXTS: Readonly<Record<Lesson["id"], { readonly title: string; readonly text: string }>> = {
  flux: {
    title: "Flux before flame",
    text: "A bezel's seam, with no flux on it yet. Press F before you light the flame: without flux nothing runs.",
  },
  heavier: {
    title: "The heavier part first",
    text: "The plate takes up four times as much heat as the bezel. Warm the plate, and let the bezel follow.",
  },
  below: { title: "Flame from below", text: "Under the mesh (B) the flame reaches the plate and leaves the bezel alone." },
  thin: { title: "Keep off the thin side", text: "A thin bezel runs ahead and solder climbs it. Keep the flame on the plate's border." },
  second: {
    title: "A second heat beside a made seam",
    text: "Hoop to plate with easy: the foot was made with medium, and softens a few degrees above.",
  },
  several: { title: "Several feet at once", text: "Five bezels on one plate run together: keep all of it even." },
  pendant: { title: "A heavy pendant", text: "A small bail on a heavy plate. The plate must be hot before the bail is." },
};

/** What a try is, said wherever one is played. */
export const PRACTICE_ONLY = "Practice only: real metal, flux and flames differ. It replaces no teacher.";

export const FLUX_NAMES: Readonly<Record<FluxStage, string>> = {
  none: "none",
  wet: "wet",
  white: "white",
  honey: "honey",
  clear: "clear",
  spent: "spent",
};

export const FLUX_TEXTS: Readonly<Record<FluxStage, { readonly title: string; readonly text: string }>> = {
  none: { title: "There is no flux", text: "Without flux nothing runs. Take the flame away and flux." },
  wet: { title: "The flux is drying", text: "Go slowly until its water is gone: it heaves the pallions about." },
  white: { title: "The flux is white", text: "It has puffed up. Warm all of it evenly; the heavier part first." },
  honey: { title: "The flux turns to honey", text: "It clears from 590 on. Keep both sides together." },
  clear: { title: "The flux is clear", text: "It works now, and carries heat from one side to the other." },
  spent: { title: "The flux is spent", text: "Nothing runs through it. Quench, clean and flux again." },
};
