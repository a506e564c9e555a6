import { type Doubt } from "@/core/piece/doubt";
import { type Aim, type Watch } from "@/core/practice/watch";
import { EVEN } from "@/core/practice/outcome";
import { type Names, agreeing, capital } from "../names";
import { FLUX_TEXTS } from "../practice";
import { type Units, showPercent, showApart } from "../show";

export const practiceText = {
  practise: (heat: number, of: number, joints: string) => `Practise heat ${heat} of ${of}: ${joints}`,
  title: "Practise",
  lesson: (title: string) => `Lesson: ${title.toLowerCase()}`,
  practiseThis: "Practise",
  practiseFirst: "Practise this first",
  practiseHeat: (joints: string) => `Practise the heat of ${joints}`,
  noHeat: "There is no heat to practise: no order of heats is found for this piece.",
  noSuchHeat: "This heat is not in the plan any more.",
  back: "To the heats",
  try: (count: number) => `Try ${count}`,
  theHand: "The careful hand",
  again: "Played again",
  pictureSeen: (text: string) => `The piece under the flame: ${text}`,
  above: "Above",
  below: "Under the mesh",
  size: "Flame",
  distance: "Distance",
  light: "Light it",
  takeAway: "Take it away",
  pause: "Pause",
  goOn: "Go on",
  startAgain: "Start again",
  see: "See the heat",
  on: "on",
  space: "Space",
  esc: "Esc",
  leave: "Leave",
  flux: "Flux again",
  quench: "Quench",
  clean: "Pickle and clean",
  giveUp: "End it here",
  whatToWatch: "What to watch",
  goodWhen: "This heat is good when",
  happened: "What happened",
  won: "It is joined.",
  notWon: "Not this time.",
  lastTries: "Your tries",
  noTries: "None yet. Each try is kept on this device.",
  keptHere: "Kept on this device, and in what you save of everything. None counts as a make.",
  tryOf: (count: number, day: string) => `Try ${count}, ${day}`,
  ofAnother: "The piece, the bench or the heat was different then.",
  notPlayedAgain: "It cannot be played again: this program plays that heat differently.",
  remove: "Remove",
  removeOf: (count: number) => `Remove try ${count}`,
  removed: "Try removed",
  showAllTries: (count: number) => `Show all ${count} tries`,
  followHand: "Follow the careful hand",
  showHand: "Show the careful hand",
  playAgain: "Play it again",
  playAgainOf: (count: number) => `Play try ${count} again`,
  save: "Save",
  saveOf: (count: number) => `Save try ${count} as a file`,
  speed: "Speed",
  times: (speed: number) => (speed === 1 ? "as it is" : `${speed} times`),
  ladder: "Each part's temperature through the try",
  melts: (degrees: string, metal: string) => `${degrees} ${metal} melts`,
  gives: (degrees: string, joint: string) => `${degrees} ${joint} softens`,
  runs: (degrees: string) => `runs from ${degrees}`,
  doubtful: (doubt: Doubt) =>
    doubt === "unmeasured"
      ? "Some measures of this piece are not given yet. It may heat differently."
      : "An entry of this piece was refused and does not count here.",
  seconds: (seconds: number) => `${seconds} s`,
  only: "Practice only:",
  onlyText: "real metal, flux and flames differ. It replaces no teacher.",
  seen: (parts: string, flux: string) => (flux === "" ? parts : `${parts}, flux ${flux}`),
  runsAt: (degrees: string) => `runs at ${degrees}`,
  softensAt: (degrees: string) => `softens at ${degrees}`,
  fluxIs: (stage: string) => `flux ${stage}`,
  asYouSeeIt: "as you see it",
  theHeat: "the heat",
  split: "Line between what is seen and the heat",
  partAt: (part: string, degrees: string) => `${part} ${degrees}`,
  howItGlows: "how it glows",
  glow: [
    [550, "faint red"],
    [730, "cherry"],
    [870, "orange"],
  ] as const,
} as const;

export const lessonsText = {
  practise: "Practise",
  won: "✓ won",
  heading: "Practise with the flame",
  lead: "Seven heats of the Marram Workshop's pieces, from an easy one to a hard one. Spoil as many as you like.",
  ofYourOwn: "A heat of your own piece is practised from its card on the Heats stage, and from its step at the bench.",
} as const;

/** So many degrees before it runs it is nearly there. */
const NEARLY = 40;

/** What to watch, in a few words and a sentence. */
export function watchText(watch: Watch, names: Names, units: Units): { readonly title: string; readonly text: string } {
  const name = (part: string) => names.part(part);
  switch (watch.code) {
    case "start":
      return {
        title: "Put the flame on it",
        text: "Move the pointer over the piece, or press L and use the arrow keys. Warm all of it before the joint.",
      };
    case "melts":
      return {
        title: `${capital(name(watch.part))} is about to melt`,
        text:
          watch.spare > 0
            ? `${showApart(watch.spare, units)}° are left. Take the flame off it at once.`
            : "It is over its melting point. Take the flame away at once.",
      };
    case "softens":
      return {
        title: watch.spare > 0 ? `${capital(names.joint(watch.joint))} softens soon` : `${capital(names.joint(watch.joint))} is soft`,
        text: `Keep the flame off it: it holds only up to ${watch.spare > 0 ? `${showApart(watch.spare, units)}° more` : "less than it has now"}.`,
      };
    case "opens":
      return { title: `${capital(names.joint(watch.joint))} ran again`, text: "It has opened. Take the flame away." };
    case "climbed":
      return {
        title: `Solder climbed the ${name(watch.part)}`,
        text: `It goes to the hotter side: that was ${showApart(watch.hotter, units)}° ahead. Clean it, and lay fresh pallions.`,
      };
    case "ran":
      return { title: "It has run", text: "Take the flame away: more heat only does harm." };
    case "spent":
      return FLUX_TEXTS.spent;
    case "lags":
      return {
        title: `${capital(name(watch.part))} ${agreeing(1, "lag")} by ${showApart(watch.degrees, units)}°`,
        text: `Solder goes to the hotter side. Take the flame off the ${name(watch.behind)}, and warm the ${name(watch.part)}.`,
      };
    case "flux":
      return FLUX_TEXTS[watch.stage];
    case "running":
      return { title: "It runs", text: `${showPercent(watch.share)} of ${names.joint(watch.joint)} has run. Lead it on with the flame.` };
    case "near":
      return watch.degrees > 0
        ? {
            title: `${showApart(watch.degrees, units)}° to go`,
            text: watch.degrees > NEARLY ? "Keep all of it rising together." : "Nearly there: wait for a bright line along the joint.",
          }
        : { title: "It runs any moment", text: "Watch the joint for a bright line." };
  }
}

/** An aim, and how far it is. */
export function aimText(aim: Aim, names: Names, units: Units): { readonly aim: string; readonly state: string } {
  switch (aim.code) {
    case "runs":
      return {
        aim: `${capital(names.joint(aim.joint))} runs from end to end`,
        state: aim.climbed > 0 ? `${showPercent(aim.share)}, ${aim.climbed} climbed` : showPercent(aim.share),
      };
    case "stays":
      return {
        aim: `${capital(names.joint(aim.joint))} stays`,
        state: aim.state === "missed" ? "was soft" : `${showApart(aim.spare, units)}° to spare`,
      };
    case "even":
      return {
        aim: `Even to ${showApart(EVEN, units)}° along the joint`,
        state: `${showApart(aim.degrees, units)}°`,
      };
  }
}
