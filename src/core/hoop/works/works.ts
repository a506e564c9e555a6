import { type Section } from "../../metal/section";
import { type Hoop, type HoopForm } from "../hoop";
import { sleeve } from "./sleeve";
import { slit } from "./slit";
import { strands } from "./strands";
import { taper } from "./taper";
import { twist } from "./twist";
import { type Leg, type WorkFault, type WorkKind, type WorkName, type Works, type WorksAsked } from "./work";

/** Everything that is done with a hoop's stock, in the order it is done. */
const WORKS: { readonly [Name in WorkName]: WorkKind<WorksAsked[Name]> } = { twist, taper, slit, strands, sleeve };

export const WORK_NAMES = Object.keys(WORKS) as readonly WorkName[];

/** Asks each work of a hoop in turn. */
export function eachWork<Told>(works: Works, ask: <Asked>(kind: WorkKind<Asked>, asked: Asked) => Told | undefined): Told[] {
  const one = <Name extends WorkName>(name: Name): Told[] => {
    const asked = works[name];
    const told = asked === undefined ? undefined : ask(WORKS[name], asked);
    return told === undefined ? [] : [told];
  };
  return WORK_NAMES.flatMap((name) => one(name));
}

/** Something that the works change one after another. */
export function throughWorks<Value>(
  works: Works,
  from: Value,
  change: <Asked>(kind: WorkKind<Asked>, asked: Asked, value: Value) => Value | undefined,
): Value {
  let value = from;
  eachWork(works, (kind, asked) => void (value = change(kind, asked, value) ?? value));
  return value;
}

/** How wide a hoop counts as a band. */
export function bandWidth(section: Section, works: Works): number {
  return throughWorks(works, section.width, (kind, asked, width) => kind.bandWidth?.(asked, width));
}

/** Where it meets a mount: one leg, or those it is split or spread into. */
export function legsOf({ section, works }: Pick<Hoop, "section" | "works">): readonly Leg[] {
  const whole: readonly Leg[] = [{ offset: 0, width: section.width, parts: ["hoop"] }];
  return throughWorks(works, whole, (kind, asked) => kind.legs?.(asked, section));
}

/** How far its legs reach along the finger to one side of its middle. */
export function halfSpan(hoop: Pick<Hoop, "section" | "works">): number {
  return Math.max(...legsOf(hoop).map(({ offset, width }) => Math.abs(offset) + width / 2));
}

/** A work that does not go with the form, or with another. */
export interface Clash {
  readonly work: WorkName;
  readonly with: HoopForm | WorkName;
}

export function clashesOf(works: Partial<Record<WorkName, unknown>>, form: HoopForm): Clash[] {
  const asked = WORK_NAMES.filter((name) => works[name] !== undefined);
  return asked.flatMap((work, i): Clash[] => {
    const { forms, beside } = WORKS[work];
    if (!forms.includes(form)) return [{ work, with: form }];
    return asked.slice(0, i).flatMap((other) => (beside.includes(other) ? [] : [{ work, with: other }]));
  });
}

export function workFaults(works: Works, section: Section): { readonly work: WorkName; readonly faults: readonly WorkFault[] }[] {
  return WORK_NAMES.flatMap((work) => {
    const faults = eachWork({ [work]: works[work] }, (kind, asked) => kind.faults(asked, section)).flat();
    return faults.length > 0 ? [{ work, faults }] : [];
  });
}
