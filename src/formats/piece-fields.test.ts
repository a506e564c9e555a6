import { isLengthField } from "@/words/fields";
import pieceSchema from "./schema/piece.json";

type Node = Readonly<Record<string, unknown>>;

/** Paths of all numbers of a piece's schema, without places in lists, and whether each is one of its kinds of length. */
function numbersOf(schema: Node, at: Node = schema, path = "", seen: readonly string[] = []): [string, boolean][] {
  const ref = at.$ref as string | undefined;
  if (ref) {
    const name = ref.split("/").at(-1)!;
    const target = (schema.$defs as Record<string, Node | undefined>)[name];
    if (["size", "reach", "allowance"].includes(name)) return [[path, true]];
    return target && ref.startsWith("#") && !seen.includes(name) ? numbersOf(schema, target, path, [...seen, name]) : [];
  }
  const inner = ["oneOf", "anyOf", "allOf", "prefixItems"].flatMap((key) => (at[key] as Node[] | undefined) ?? []);
  const asides = ["if", "then", "else", "items"].flatMap((key) => (typeof at[key] === "object" ? [at[key] as Node] : []));
  return [
    ...(at.type === "number" || at.type === "integer" ? [[path, false] as [string, boolean]] : []),
    ...[...inner, ...asides].flatMap((each) => numbersOf(schema, each, path, seen)),
    ...Object.entries((at.properties as Record<string, Node> | undefined) ?? {}).flatMap(([key, each]) =>
      numbersOf(schema, each, `${path}/${key}`, seen),
    ),
  ];
}

/** Bounded like any number in the schema, and lengths all the same. */
const LENGTHS_BESIDE = ["/mounts/place/along", "/mounts/stone/outline/cleft", "/mounts/stone/outline/points"].concat([
  "/mounts/at",
  "/mounts/plate/at",
  "/mounts/plate/outline/cleft",
  "/mounts/plate/outline/points",
  "/mounts/plate/stamp/at",
  "/mounts/plate/drain/at",
  "/applied/at",
  "/applied/along",
]);
/** Read by this version, and not on any screen yet. */
const NOT_SHOWN = /^\/mounts\/ornament|^\/carrier\/at$/;

test("the fields that hold lengths are those the schema bounds as lengths, and a few that may be negative", () => {
  const numbers = numbersOf(pieceSchema).filter(([path]) => !NOT_SHOWN.test(path));
  expect(numbers.length).toBeGreaterThan(90);
  const wrong = numbers.filter(([path, isLength]) => isLengthField(path) !== (isLength || LENGTHS_BESIDE.includes(path)));
  expect(wrong).toEqual([]);
});
