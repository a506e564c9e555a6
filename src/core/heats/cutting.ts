import { type Pallions } from "./solder";

/** Solder of one grade and size, as it is cut before the first heat: what is needed and a quarter more. */
export interface CutSolder {
  readonly grade: string;
  readonly form: Pallions["form"];
  /** mm: the side of a piece of sheet, which is the width of its strip; of wire and paste how thick. */
  readonly width: number;
  /** mm of the sheet. */
  readonly thickness: number;
  /** Pieces or balls; of wire none. */
  readonly count: number;
  readonly spare: number;
  /** mm of strip or of wire that all of it takes, the spare with it. */
  readonly length: number;
  /** Joints that it is for. */
  readonly joints: readonly string[];
}

interface Soldered {
  readonly joints: readonly string[];
  readonly grade: string;
  readonly solder: readonly Pallions[];
}

const SPARE = 1 / 4;

/** All the solder of a piece, in the order in which it is first wanted; of a pair twice. */
export function cuttingList(heats: readonly Soldered[], copies = 1): CutSolder[] {
  const lists = new Map<string, { readonly grade: string; readonly of: { readonly pallions: Pallions; readonly joint: string }[] }>();
  for (const { joints, grade, solder } of heats) {
    solder.forEach((pallions, i) => {
      const key = [grade, pallions.form, pallions.size[1], pallions.size[2]].join();
      const list = lists.get(key) ?? { grade, of: [] };
      list.of.push({ pallions, joint: joints[i]! });
      lists.set(key, list);
    });
  }
  return [...lists.values()].map(({ grade, of }) => {
    const [{ pallions }] = of as [(typeof of)[number], ...typeof of];
    const { form, size } = pallions;
    const isWire = form === "wire";
    const count = isWire ? 0 : copies * of.reduce((all, each) => all + each.pallions.count, 0);
    const spare = Math.ceil(count * SPARE);
    const wire = copies * of.reduce((all, each) => all + each.pallions.size[0], 0) * (1 + SPARE);
    return {
      ...{ grade, form, width: size[1], thickness: size[2], count, spare },
      length: isWire ? wire : (count + spare) * size[1],
      joints: of.map(({ joint }) => joint),
    };
  });
}
