import { planFile } from "@/formats/plan-file";
import { benchCard } from "./card";
import { argsOf, command } from "./files";
import { planned } from "./planned";

const USAGE = "usage: npm run --silent plan -- FILE [--json] [--bench FILE] [--make FILE]   (FILE may be -, standard input)";

await command("plan", (args) => {
  const { file, given } = argsOf(args, USAGE, ["--bench", "--make"], ["--json"]);
  const { piece, plan, units } = planned({ file, bench: given.get("--bench"), make: given.get("--make") });
  return given.has("--json") ? `${JSON.stringify(planFile(plan), null, 2)}\n` : benchCard(piece, plan, units);
});
