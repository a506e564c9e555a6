import { bodyOf } from "@/core/practice/body";
import { carefulHand } from "@/core/practice/hand";
import { played } from "@/core/practice/play";
import { courseFile, decodeFlame } from "@/formats/flame-file";
import { namesIn } from "@/words/names";
import { PRACTICE_ONLY, clockText, courseText, outcomeTexts } from "@/words/practice";
import { printable } from "@/words/show";
import { Misused, argsOf, command, decoded, fileText } from "./files";
import { planned } from "./planned";

const USAGE = "usage: npm run --silent torch -- PIECE --joints a,b [--flame FILE] [--bench FILE] [--json]";

await command("heat", (args) => {
  const { file, given } = argsOf(args, USAGE, ["--joints", "--flame", "--bench"], ["--json"]);
  const joints = given.get("--joints")?.split(",");
  if (!joints) throw new Misused(USAGE);
  const { plan, units } = planned({ file, bench: given.get("--bench") });
  const index = plan.heats.findIndex((heat) => joints.every((joint) => heat.joints.includes(joint)));
  if (index < 0) {
    const heats = plan.heats.map((heat) => heat.joints.join(",")).join("  ");
    throw new Misused(`no heat makes ${printable(joints.join(",")).slice(0, 200)}; the heats are ${heats}`);
  }
  const flameFile = given.get("--flame");
  const body = bodyOf(plan, index);
  const flame = flameFile === undefined ? carefulHand(body) : decoded(decodeFlame(fileText(flameFile)), flameFile);
  const course = played(body, flame);
  if (given.has("--json")) return `${JSON.stringify(courseFile(course), null, 2)}\n`;
  const names = namesIn(plan);
  return [
    `${names.joints(plan.heats[index]!.joints).join(" + ")}, ${flameFile === undefined ? "the careful hand" : "the flame of the file"}: ${clockText(course.outcome.result.seconds)}`,
    ...outcomeTexts(course.outcome, names, units).map((text) => `  ${text}`),
    ...course.parts.map(({ part, mean, most }) => `  ${courseText(names.part(part), mean, most, units)}`),
    PRACTICE_ONLY,
    "",
  ].join("\n");
});
