// Compiles the schemas to plain code ahead of time: the page's policy forbids making functions from text.
import { copyFile, mkdir, readFile, writeFile } from "node:fs/promises";
import { Ajv2020 } from "ajv/dist/2020.js";
import standaloneModule from "ajv/dist/standalone/index.js";
import { build } from "esbuild";

const here = new URL(".", import.meta.url);
/** @param {string} name */
const schema = async (name) => JSON.parse(await readFile(new URL(`schema/${name}.json`, here), "utf8"));
const served = ["piece", "bench", "make", "plan"];
const [piece, bench, make] = await Promise.all(served.map(schema));
const [kept, tried] = await Promise.all(["kept", "try"].map(schema));

const ajv = new Ajv2020({
  allErrors: true,
  discriminator: true,
  allowUnionTypes: true,
  strictTypes: false,
  strictRequired: false,
  strictTuples: false,
  code: { source: true, esm: true },
});
ajv.addSchema([piece, bench, make, kept, tried]);
/** @type {Record<string, string>} */
const validators = { validatePiece: piece.$id, validateBench: bench.$id, validateMake: make.$id };
for (const { $id, $defs } of [kept, tried])
  for (const name of Object.keys($defs).filter((each) => /^[A-Z]/.test(each))) validators[`validate${name}`] = `${$id}#/$defs/${name}`;
/** A CommonJS module: its function is what the types call the default of the default. */
const standalone = /** @type {typeof import("ajv/dist/standalone/index.js").default} */ (/** @type {unknown} */ (standaloneModule));
const source = standalone(ajv, validators);

/**
 * What lists a value of a schema may hold and how long each may be, as a tree: `most` of a list, what stands `in` it, and by key.
 * @param {any} node
 * @param {any} root
 * @returns {{ most?: number, in?: object, at?: Record<string, object> } | null}
 */
function listsOf(node, root) {
  if (node.$ref) {
    const [file, path] = node.$ref.split("#");
    const base = file ? [piece, bench, make].find(({ $id }) => $id === file) : root;
    /** @type {string[]} */
    const steps = (path ?? "").split("/").slice(1);
    return listsOf(
      steps.reduce((at, step) => at[step], base),
      base,
    );
  }
  const found = [node, ...(node.oneOf ?? [])];
  /** @type {Record<string, object>} */
  const at = {};
  for (const each of found) {
    for (const [key, inner] of Object.entries(each.properties ?? {})) {
      const lists = listsOf(inner, root);
      if (lists) at[key] = lists;
    }
  }
  const inner = node.items ? listsOf(node.items, root) : null;
  const tree = {
    ...(node.maxItems !== undefined && { most: node.maxItems }),
    ...(inner && { in: inner }),
    ...(Object.keys(at).length > 0 && { at }),
  };
  return Object.keys(tree).length > 0 ? tree : null;
}
const lists = {
  pieceLists: listsOf(piece, piece),
  benchLists: listsOf(bench, bench),
  makeLists: listsOf(make, make),
  tryLists: listsOf(tried.$defs.TryFile, tried),
};

await mkdir(new URL("generated/", here), { recursive: true });
const bundled = await build({
  stdin: { contents: source, resolveDir: process.cwd(), loader: "js" },
  bundle: true,
  format: "esm",
  minify: true,
  write: false,
  logLevel: "error",
});
const constants = Object.entries(lists).map(([name, tree]) => `export const ${name} = ${JSON.stringify(tree)};\n`);
await writeFile(new URL("generated/validators.js", here), (bundled.outputFiles[0]?.text ?? "") + constants.join(""));
await writeFile(
  new URL("generated/validators.d.ts", here),
  [
    'import { type Lists } from "../read-json";\nimport { type Validator } from "../validate";\n',
    ...Object.keys(validators).map((name) => `export declare const ${name}: Validator;\n`),
    ...Object.keys(lists).map((name) => `export declare const ${name}: Lists;\n`),
  ].join(""),
);

// The app serves the schemas as they are, and the licence of the font it ships with.
const site = new URL("../../public/", here);
await mkdir(new URL("schema/", site), { recursive: true });
await Promise.all(served.map((name) => copyFile(new URL(`schema/${name}.json`, here), new URL(`schema/${name}.json`, site))));
await mkdir(new URL("licences/", site), { recursive: true });
await copyFile(new URL("../../node_modules/@fontsource-variable/archivo/LICENSE", here), new URL("licences/archivo.txt", site));
