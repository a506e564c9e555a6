import { bundle, install } from "./prepare.mjs";

install();
await import(bundle("cli/plan.ts", "plan"));
