/** Random numbers from a seed, so that an attack can be had again (Park and Miller, 1988). */
export interface Random {
  /** 0 up to 1. */
  share(): number;
  below(n: number): number;
  of<T>(list: readonly T[]): T;
}

export function randomFrom(seed: number): Random {
  let state = (Math.abs(Math.trunc(seed)) % 2147483646) + 1;
  const share = () => ((state = (state * 48271) % 2147483647) - 1) / 2147483646;
  const below = (n: number) => Math.floor(share() * n);
  return { share, below, of: (list) => list[below(list.length)]! };
}

const STRANGE: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  5e-324,
  1e-200,
  5.5e-11,
  1e300,
  -0,
  "",
  "x",
  "auto",
  "\u202eabc\u200b",
  "x".repeat(5000),
  [],
  {},
  [[]],
  { __proto__: null, a: 1 },
  ["a"],
  0.05,
  0.0001,
  200,
  199.99,
  "222ga",
];

type Node = Record<string, unknown> | unknown[];

/** A copy of a value with one to four of its parts replaced, taken away, doubled, scaled or renamed. */
export function mutated<T>(value: T, random: Random): T {
  const copy = structuredClone(value);
  for (let n = 1 + random.below(4); n > 0; n--) mutateOnce(copy as Node, random);
  return copy;
}

function mutateOnce(root: Node, random: Random): void {
  const places: [Node, string][] = [];
  const visit = (node: unknown) => {
    if (typeof node !== "object" || node === null) return;
    for (const key of Object.keys(node)) {
      places.push([node as Node, key]);
      visit((node as Record<string, unknown>)[key]);
    }
  };
  visit(root);
  if (places.length === 0) return;
  const [node, key] = random.of(places);
  const record = node as Record<string, unknown>;
  const now = record[key];
  switch (random.below(6)) {
    case 0:
      record[key] = structuredClone<unknown>(random.of(STRANGE));
      break;
    case 1:
      if (Array.isArray(node)) node.splice(Number(key), 1);
      else delete record[key];
      break;
    case 2:
      if (typeof now === "number") record[key] = now * 10 ** (random.below(25) - 12);
      break;
    case 3:
      if (Array.isArray(now))
        record[key] = Array.from({ length: 1 + random.below(60) }, () => structuredClone<unknown>(random.of(now as unknown[])));
      break;
    case 4:
      own(node, random.of(["strange", "__proto__", "id", "at", "a/b~c"]), now);
      break;
    default:
      if (typeof now === "number") record[key] = now + (random.share() - 0.5) * now;
  }
}

/** Also "__proto__" becomes a property of its own, as it does of a file that is read: assigned, it would take the methods of a list away. */
function own(node: Node, key: string, value: unknown): void {
  Object.defineProperty(node, key, { value, writable: true, enumerable: true, configurable: true });
}
