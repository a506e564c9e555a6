import { SHIPPED, SHIPPED_BENCH } from "@/core/piece/bench";
import { fault } from "@/core/piece/fault";
import { readSum } from "@/core/sums/sums";
import { sumHelp, sumLines } from "@/words/quick-sums";
import { decodeBench } from "@/formats/bench-codec";
import { Refused, argsOf, command, decoded, fileText } from "./files";

const USAGE = 'usage: npm run --silent sum -- "US 7 x 1.6 flat" [--bench FILE]';

await command("sum", (args) => {
  const { file: line, given } = argsOf(args, USAGE, ["--bench"]);
  const from = given.get("--bench");
  const bench = from === undefined ? SHIPPED_BENCH : decoded(decodeBench(fileText(from)), from);
  const units = { ...SHIPPED.units, ...bench.units };
  const read = readSum(line, units.length, bench);
  if (!read.ok) throw new Refused([fault("", "not-a-sum", { help: sumHelp(read.began) })], line);
  return `${sumLines(read.sum, units).join("\n")}\n`;
});
