// Compiles the schemas to plain code ahead of time: the page's policy forbids making functions from text.
import { mkdir, readFile, writeFile } from "node:fs/promises";
import { Ajv2020 } from "ajv/dist/2020.js";
import standalone from "ajv/dist/standalone/index.js";
import { build } from "esbuild";

const here = new URL(".", import.meta.url);
const schema = async (name) => JSON.parse(await readFile(new URL(`schema/${name}.json`, here), "utf8"));
const [piece, bench] = await Promise.all(["piece", "bench"].map(schema));

const ajv = new Ajv2020({ allErrors: true, discriminator: true, allowUnionTypes: true, strictTypes: false, strictRequired: false, code: { source: true, esm: true } });
ajv.addSchema([piece, bench]);
const source = standalone.default(ajv, { validatePiece: piece.$id, validateBench: bench.$id });

await mkdir(new URL("generated/", here), { recursive: true });
const bundled = await build({ stdin: { contents: source, resolveDir: process.cwd(), loader: "js" }, bundle: true, format: "esm", minify: true, write: false, logLevel: "error" });
await writeFile(new URL("generated/validators.js", here), bundled.outputFiles[0].text);
await writeFile(
  new URL("generated/validators.d.ts", here),
  'import { type Validator } from "../validate";\nexport declare const validatePiece: Validator;\nexport declare const validateBench: Validator;\n',
);
