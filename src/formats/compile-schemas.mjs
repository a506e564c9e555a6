// Compiles the schemas to plain code ahead of time: the page's policy forbids making functions from text.
import { copyFile, mkdir, readFile, writeFile } from "node:fs/promises";
import { Ajv2020 } from "ajv/dist/2020.js";
import standalone from "ajv/dist/standalone/index.js";
import { build } from "esbuild";

const here = new URL(".", import.meta.url);
const schema = async (name) => JSON.parse(await readFile(new URL(`schema/${name}.json`, here), "utf8"));
const names = ["piece", "bench", "make", "plan"];
const [piece, bench, make] = await Promise.all(names.map(schema));

const ajv = new Ajv2020({
  allErrors: true,
  discriminator: true,
  allowUnionTypes: true,
  strictTypes: false,
  strictRequired: false,
  code: { source: true, esm: true },
});
ajv.addSchema([piece, bench, make]);
const source = standalone.default(ajv, { validatePiece: piece.$id, validateBench: bench.$id, validateMake: make.$id });

await mkdir(new URL("generated/", here), { recursive: true });
const bundled = await build({
  stdin: { contents: source, resolveDir: process.cwd(), loader: "js" },
  bundle: true,
  format: "esm",
  minify: true,
  write: false,
  logLevel: "error",
});
await writeFile(new URL("generated/validators.js", here), bundled.outputFiles[0].text);
await writeFile(
  new URL("generated/validators.d.ts", here),
  'import { type Validator } from "../validate";\nexport declare const validatePiece: Validator;\nexport declare const validateBench: Validator;\nexport declare const validateMake: Validator;\n',
);

// The app serves the schemas as they are.
const served = new URL("../../public/schema/", here);
await mkdir(served, { recursive: true });
await Promise.all(names.map((name) => copyFile(new URL(`schema/${name}.json`, here), new URL(`${name}.json`, served))));
