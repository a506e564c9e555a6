import { type Fault, fault } from "@/core/piece/fault";
import { type Lists, MOST_FAULTS, lengthFaults, pointer } from "./read-json";

/** What Ajv's compiled validators report, as much of it as is read here. */
export interface SchemaError {
  readonly instancePath: string;
  readonly schemaPath: string;
  readonly keyword: string;
  readonly params: Readonly<Record<string, unknown>>;
}

export interface Validator {
  (value: unknown): boolean;
  errors?: readonly SchemaError[] | null;
}

/** The faults of a value against a compiled schema; none if it fits. Lengths of lists are looked at first: what is too long is not gone into. */
export function schemaFaults(validate: Validator, value: unknown, lists: Lists = {}): Fault[] {
  const long = lengthFaults(lists, value, "");
  if (long.length > 0) return long;
  if (validate(value)) return [];
  const errors = validate.errors ?? [];
  const shapes = new Set(errors.filter(({ keyword }) => keyword === "oneOf").map(({ instancePath }) => instancePath));
  const belongsToShape = ({ instancePath, keyword, schemaPath }: SchemaError) =>
    keyword !== "oneOf" && shapes.has(instancePath) && schemaPath.includes("/oneOf/");
  const nought = new Set(errors.filter(({ keyword }) => keyword === "exclusiveMinimum").map(({ instancePath }) => instancePath));
  const isSaid = ({ instancePath, keyword }: SchemaError) => keyword === "minimum" && nought.has(instancePath);
  const told = new Map<string, Fault>();
  let more = 0;
  for (const error of errors) {
    // What a branch asks for is told by its own faults.
    if (belongsToShape(error) || isSaid(error) || error.keyword === "if") continue;
    if (told.size >= MOST_FAULTS) more++;
    else {
      const each = toFault(error, valueAt(value, error.instancePath));
      const key = `${each.path} ${each.code}`;
      if (!told.has(key)) told.set(key, each);
    }
  }
  return [...told.values(), ...(more > 0 ? [fault("", "and-more", { more })] : [])];
}

function valueAt(value: unknown, path: string): unknown {
  const steps = path
    .split("/")
    .slice(1)
    .map((step) => step.replaceAll("~1", "/").replaceAll("~0", "~"));
  return steps.reduce((at: unknown, step) => (at as Readonly<Record<string, unknown>>)[step], value);
}

function toFault({ instancePath: path, keyword, params }: SchemaError, data: unknown): Fault {
  const got = typeof data === "object" && data !== null ? {} : { got: typeof data === "string" ? quoted(data) : String(data) };
  switch (keyword) {
    case "required":
      return fault(`${path}/${pointer(params.missingProperty)}`, "missing");
    case "additionalProperties":
      return fault(`${path}/${pointer(params.additionalProperty)}`, "unknown-field");
    case "type":
      return fault(path, params.type === "integer" && typeof data === "number" ? "whole-number" : "wrong-type", {
        expected: typesNamed(params.type),
        ...got,
      });
    case "exclusiveMinimum":
      return fault(path, "above", { limit: Number(params.limit), ...got });
    case "minimum":
      return fault(path, "at-least", { limit: Number(params.limit), ...got });
    case "maximum":
    case "exclusiveMaximum":
      return fault(path, "at-most", { limit: Number(params.limit), ...got });
    case "minItems":
    case "minLength":
    case "minProperties":
      return fault(path, "too-few", { limit: Number(params.limit) });
    case "maxItems":
    case "maxLength":
    case "maxProperties":
      return fault(path, "too-many", { limit: Number(params.limit) });
    case "enum":
      return fault(path, "one-of", { expected: listed(params.allowedValues), ...got });
    case "const":
      return fault(path, "wrong-format", { expected: JSON.stringify(params.allowedValue), ...got });
    case "discriminator":
      return fault(`${path}/${pointer(params.tag)}`, params.tagValue === undefined ? "missing" : "one-of", {
        expected: DISCRIMINATED[String(params.tag)] ?? "",
        got: (JSON.stringify(params.tagValue) ?? "").slice(0, LONGEST_QUOTED),
      });
    case "uniqueItems":
      return fault(path, "duplicate");
    case "pattern":
      return patternFault(path, String(params.pattern), got);
    case "false schema":
      return fault(path, "not-beside");
    case "oneOf":
      return fault(path, "pin-shape");
    default:
      throw new RangeError(`no words for the schema keyword ${keyword}`);
  }
}

/** No more of a text than a message shows. */
function quoted(text: string): string {
  return JSON.stringify(text.slice(0, LONGEST_QUOTED));
}

const LONGEST_QUOTED = 200;

/** Tags of the outlines and carriers of the contract. */
const DISCRIMINATED: Readonly<Record<string, string>> = {
  shape: "round, oval, cushion, rectangle, pear, marquise, heart, triangle, free",
  type: "hoop, bail, jump-ring, posts, ear-wires, none",
};

function patternFault(path: string, pattern: string, got: Fault["values"]): Fault {
  if (pattern.startsWith("^[a-z]")) return fault(path, "not-an-id", got);
  if (pattern.startsWith("^[^")) return fault(path, "not-a-name");
  const words = pattern.replace(/^\^\(?|\)?\$$/g, "").split("|");
  return fault(path, "not-a-word", { expected: [...words, WORD_OR[words[0]!] ?? ""].filter(Boolean).join(", or "), ...got });
}

/** What the fields that take a word take besides it. */
const WORD_OR: Readonly<Record<string, string>> = {
  flat: "an exponent",
  auto: "a place from 0 to 1",
  fibre: "a multiplier",
  all: "runs of the outline",
};

const TYPE_NAMES: Readonly<Record<string, string>> = {
  number: "a number",
  integer: "a whole number",
  string: "text",
  object: "an object",
  array: "a list",
  boolean: "true or false",
  null: "null",
};

function typesNamed(type: unknown): string {
  return String(type)
    .split(",")
    .map((each) => TYPE_NAMES[each] ?? each)
    .join(" or ");
}

function listed(values: unknown): string {
  return Array.isArray(values) ? values.join(", ") : "";
}
