import { TEMPLATE_FORMATS, type TemplateFormat, templateFiles } from "@/formats/templates/templates";
import { Misused, argsOf, command } from "./files";
import { planned } from "./planned";
import { written } from "./written";

const USAGE = "usage: npm run --silent templates -- FILE --out DIR [--format pdf|svg|dxf] [--paper a4|letter] [--bench FILE]";
const PAPERS = ["a4", "letter"] as const;

await command("templates", async (args) => {
  const { file, given } = argsOf(args, USAGE, ["--out", "--format", "--paper", "--bench"]);
  const out = given.get("--out");
  const format = oneOf<TemplateFormat>(given.get("--format") ?? "pdf", TEMPLATE_FORMATS);
  const paper = oneOf(given.get("--paper") ?? "a4", PAPERS);
  if (out === undefined) throw new Misused(USAGE);
  const { piece, plan, units } = planned({ file, bench: given.get("--bench") });
  const files = await templateFiles(format, { piece, plan, units, revision: "from its file", paper });
  return written(out, files);
});

function oneOf<T extends string>(given: string, known: readonly T[]): T {
  const found = known.find((each) => each === given);
  if (!found) throw new Misused(USAGE);
  return found;
}
