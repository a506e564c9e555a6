import { type CuttingWay } from "@/core/cutting/cutting-way";
import { pieceCost } from "@/core/cutting/cost";
import { planCuts } from "@/core/cutting/plan-cuts";
import { type BenchEntry, SHIPPED, SHIPPED_BENCH } from "@/core/piece/bench";
import { cutsRequestOf, wantedOfPieces } from "@/core/piece/cuts-request";
import { costInputsOf } from "@/core/piece/piece-costs";
import { decodeBench } from "@/formats/bench-codec";
import { type Costed, cutsFile } from "@/formats/cuts-file";
import { cutLists, cutTemplates, orderLists } from "@/formats/templates/cut-templates";
import { TEMPLATE_FORMATS, filesOf } from "@/formats/templates/templates";
import {
  WAY_NAMES,
  blankSize,
  cannotText,
  costText,
  costTerms,
  grams,
  leftText,
  lengthTitle,
  markedStandIn,
  orderText,
  sheetTitle,
  statusText,
  whyOrdered,
} from "@/words/cuts";
import { type Units, showLength, withUnit } from "@/words/show";
import { Misused, command, decoded, fileText, manyArgsOf } from "./files";
import { planned } from "./planned";
import { written } from "./written";

const USAGE = "usage: npm run --silent cuts -- --bench FILE PIECE... [--way spoil|ends-first|fewest] [--json] [--out DIR]";

await command("cuts", async (args) => {
  const { files, given } = manyArgsOf(args, USAGE, ["--bench", "--way", "--out"], ["--json"]);
  const way = given.get("--way") ?? "spoil";
  if (!isWay(way)) throw new Misused(USAGE);
  const benchFile = given.get("--bench");
  const bench = benchFile === undefined ? SHIPPED_BENCH : decoded(decodeBench(fileText(benchFile)), benchFile);
  const pieces = files.map((file) => planned({ file, bench: benchFile }));
  const cut = cutAll(pieces, bench, way);
  const units: Units = { ...SHIPPED.units, ...bench.units };
  const out = given.get("--out");
  const nameOf = (id: string) => pieces.find(({ piece }) => piece.id === id)!.piece.name;
  const names = out === undefined ? "" : written(out, await cutFiles(cut, nameOf, units));
  return (
    (given.has("--json") ? `${JSON.stringify(cutsFile(cut), null, 2)}\n` : lines(cut, nameOf, units)) + (given.has("--json") ? "" : names)
  );
});

function isWay(text: string): text is CuttingWay {
  return Object.hasOwn(WAY_NAMES, text);
}

function cutAll(pieces: readonly ReturnType<typeof planned>[], bench: BenchEntry, way: CuttingWay): Costed {
  const plan = planCuts({ ...cutsRequestOf(bench, wantedOfPieces(pieces)), way });
  const { rates = {} } = bench;
  const costs = pieces.map(({ piece, plan: own }) => pieceCost(plan, piece.id, costInputsOf(piece, own, piece.count ?? 1), rates));
  return {
    pieces: pieces.map(({ piece: { id, count = 1 } }) => ({ id, count })),
    plan,
    costs,
    rates,
  };
}

async function cutFiles({ plan, rates }: Costed, nameOf: (id: string) => string, units: Units) {
  const templates = cutTemplates(plan, nameOf, units);
  if (templates.length === 0) return [];
  const lists = [...cutLists(plan, nameOf, units), ...orderLists(plan, rates, units)];
  const print = { name: "Cuts", revision: "from their files", paper: "a4" as const };
  return (
    await Promise.all(
      TEMPLATE_FORMATS.map((format) => filesOf(format, format === "pdf" ? [...lists, ...templates] : templates, "cuts", "cuts", print)),
    )
  ).flat();
}

function lines({ plan, costs, rates }: Costed, nameOf: (id: string) => string, units: Units): string {
  const { currency = "" } = rates;
  const show = (mm: number) => showLength(mm, "measured", units);
  const total = (of: "drawn" | "spoiled") => plan.metals.reduce((sum, each) => sum + each[of], 0);
  return [
    `Laid so that ${WAY_NAMES[plan.way]}: ${statusText(plan)}`,
    ...plan.lengths.flatMap((each) => [
      "",
      lengthTitle(each, units),
      ...each.cuts.map(({ wanted, at }) => `  at ${show(at)}: ${blankSize(wanted, units)}, ${nameOf(wanted.piece)} ${wanted.cut.figure}`),
      `  ${leftText(each, units)}`,
    ]),
    ...plan.sheets.flatMap((each) => [
      "",
      sheetTitle(each, units),
      ...each.placed.map(
        ({ wanted, x, y, turn }) => `  at ${show(x)}, ${show(y)} turned ${turn}: ${nameOf(wanted.piece)} ${wanted.cut.part}`,
      ),
      `  ${withUnit(each.used, "measured", units)} of it used${each.goesBack ? "; the rest goes back" : "; the rest is spoiled"}`,
    ]),
    ...(plan.order.length > 0 ? ["", "To order"] : []),
    ...plan.order.map((line) => `  ${orderText(line, units)} (${whyOrdered(line.why)})`),
    ...plan.cannot.map(({ wanted, why }) => `Cannot be cut: ${nameOf(wanted.piece)} ${wanted.cut.figure}: ${cannotText(why)}`),
    "",
    `Drawn ${grams(total("drawn"))}, of it spoiled ${grams(total("spoiled"))}`,
    ...costs.flatMap((cost) => [
      `${nameOf(cost.piece)}: cost ${markedStandIn(costText(cost, currency), cost, rates)}`,
      ...costTerms(cost, currency).map(({ text, value }) => `  ${value}  ${text}`),
    ]),
    "",
  ].join("\n");
}
