import { DEMO_BENCH as BENCH } from "@demo/bench";
import { demoPiece } from "@demo/pieces";
import { boxOf, flattened } from "@/core/geometry/curve";
import { polygonArea } from "@/core/geometry/polygon";
import { planCuts } from "@/core/cutting/plan-cuts";
import { wantedOf } from "@/core/cutting/wanted";
import { SHIPPED } from "@/core/piece/bench";
import { planPiece } from "@/core/piece/plan-piece";
import { METRIC } from "@/words/show";
import { cutLists, cutTemplates } from "./cut-templates";
import { PAPERS, layOut } from "./pages";

const names = { "tern-ring": "Tern ring", "limpet-pendant": "Limpet pendant" };
const nameOf = (id: string) => names[id as keyof typeof names];
const cutOf = (count: number) =>
  planCuts({
    wanted: wantedOf(Object.keys(names).map((id) => ({ id, count, copies: 1, cuts: planPiece(demoPiece(id), BENCH).cuts }))),
    ...{ stock: BENCH.stock!, bought: SHIPPED.bought, useful: SHIPPED.useful, kerf: 0.28, way: "spoil", tries: 1 },
  });
const plan = cutOf(1);
const templates = cutTemplates(plan, nameOf, METRIC);

test("every length has a mark where each of its cuts begins and ends, and is as wide as its metal", () => {
  const lengths = templates.filter(({ id }) => id.startsWith("length"));
  expect(lengths).toHaveLength(plan.lengths.length);
  lengths.forEach(({ lines, title }, i) => {
    const { cuts, form } = plan.lengths[i]!;
    const marks = (kind: string) => lines.filter((line) => line.kind === kind).map(({ curve }) => curve.from[0]);
    expect(marks("cut")).toEqual(cuts.map(({ at, length }) => at + length));
    expect(marks("mark")).toEqual(cuts.flatMap(({ at }) => (at > 0 ? [at] : [])));
    const { high, right } = boxOf(lines[0]!.curve);
    if (form.stock.form === "strip") expect(high).toBe(form.stock.width);
    expect(title).toMatch(/in the drawer|to order/);
    expect(right).toBeLessThanOrEqual(plan.lengths[i]!.length);
  });
  const bought = plan.lengths.findIndex(({ stock }) => stock === null);
  const last = plan.lengths[bought]!.cuts.at(-1)!;
  expect(boxOf(lengths[bought]!.lines[0]!.curve).right).toBe(last.at + last.length + 12);
});

test("every sheet has its saw lines at true size, clear of its edge", () => {
  const [sheet] = templates;
  const [first] = plan.sheets[0]!.placed;
  const own = sheet!.lines.filter(({ kind }) => kind === "cut");
  expect(own).toHaveLength(plan.sheets[0]!.placed.length);
  const { shape } = first!.wanted.cut;
  if (shape.kind !== "outline") throw new Error("a length lies on a sheet");
  expect(polygonArea(flattened(own[0]!.curve, 0.001))).toBeCloseTo(polygonArea(flattened(shape.outline, 0.001)), 1);
});

test("the list numbers every cut as its template does, on one page of any paper", () => {
  const [list, ...more] = cutLists(plan, nameOf, METRIC);
  expect(more).toEqual([]);
  const rows = list!.labels.map(({ text }) => text);
  const numbered = rows.flatMap((row) => /^(\d+) {2}(.+)$/.exec(row)?.slice(1, 3) ?? []);
  const count =
    plan.sheets.reduce((sum, { placed }) => sum + placed.length, 0) + plan.lengths.reduce((sum, { cuts }) => sum + cuts.length, 0);
  expect(numbered.filter((_, i) => i % 2 === 0).map(Number)).toEqual(Array.from({ length: count }, (_, i) => i + 1));
  const labels = templates.flatMap((each) => each.labels.map(({ text }) => text));
  expect(labels.map((text) => parseInt(text, 10))).toEqual(Array.from({ length: count }, (_, i) => i + 1));
  for (const label of labels.filter((text) => text.includes(" "))) {
    const [number, name] = [parseInt(label, 10), label.slice(label.indexOf(" ") + 1)];
    expect(numbered[number * 2 - 1]!.startsWith(name)).toBe(true);
  }
  expect(rows.some((row) => /Tern ring, 59\.1 mm, from 0\.00 mm on$/.test(row))).toBe(true);
  expect(cutLists(plan, nameOf, { ...METRIC, length: "inch" })[0]!.labels.some(({ text }) => / in$/.test(text))).toBe(true);
  for (const paper of Object.keys(PAPERS) as (keyof typeof PAPERS)[]) expect(layOut([list!], paper)).toHaveLength(1);
});

test("a long list stands in two columns, then on further pages, and loses no row", () => {
  const many = cutOf(12);
  const pages = cutLists(many, nameOf, METRIC);
  expect(pages.map(({ id }) => id)).toEqual(["cut-list", "cut-list-2"].slice(0, pages.length));
  const rows = pages.flatMap(({ labels }) => labels);
  const last = rows.filter(({ text }) => /^\d+ {2}/.test(text)).map(({ text }) => parseInt(text, 10));
  expect(last).toEqual(Array.from({ length: last.length }, (_, i) => i + 1));
  expect(last.length).toBe(many.sheets.flatMap(({ placed }) => placed).length + many.lengths.flatMap(({ cuts }) => cuts).length);
  for (const page of pages) expect(layOut([page], "letter")).toHaveLength(1);
  const places = pages[0]!.labels.map(({ at }) => at.join());
  expect(new Set(places).size).toBe(places.length);
});
