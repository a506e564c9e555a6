import { bundle, install } from "./prepare.mjs";

await install();
await import(await bundle("cli/torch.ts", "torch"));
