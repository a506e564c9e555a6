// Random tests with all their cases and a new seed each time: what `npm test` runs a fifth of.
import { bin, run } from "./children.mjs";
import { compileSchemas, install } from "./prepare.mjs";

await install();
await compileSchemas();
const seed = process.env.SEED ?? String(Date.now() % 2 ** 31);
console.log(`SEED=${seed}`);
const files = process.argv.slice(2);
const ok = await run("node", [bin("jest/bin/jest.js"), ...files], { extra: { SOAK: "1", SEED: seed } });
console.log(ok ? "all passed" : `failed; again with SEED=${seed} npm run soak`);
process.exitCode = ok ? 0 : 1;
