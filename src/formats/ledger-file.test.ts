import { type Learned } from "@/core/piece/ledger";
import { ledgerLines } from "@/words/ledger";
import { asText, ledgerCsv, ledgerFile } from "./ledger-file";

const learned: Learned = {
  ...{ kind: "hoop.length", method: '=saw, "fine"', prior: 0.88, estimate: 1.1, spread: 0.04, kept: [0, 1], outliers: [2] },
  observed: [1.2, 1.25, 4].map((value, i) => ({ kind: "hoop.length", method: '=saw, "fine"', make: `m${i}`, value })),
};

test("what hands take off is told in a line, in a file, and in cells that no sheet takes for a formula", () => {
  expect(ledgerLines([learned, { ...learned, method: "", spread: null, outliers: [], kept: [0] }])).toEqual([
    'Off a hoop\'s blank, =saw, "fine": 1.10 mm, give or take 0.04, from 2 makes; 1 left out; standard 0.88',
    "Off a hoop's blank: 1.10 mm, from 1 make; standard 0.88",
  ]);
  expect(ledgerLines([])).toEqual(["No make has both the size cut and the size reached."]);
  expect(ledgerFile([learned])).toMatchObject({
    format: "hoop-ledger/ledger",
    kinds: [{ count: 2, outliers: [{ make: "m2", value: 4 }], estimate: 1.1, observed: [{ make: "m0", value: 1.2 }, {}, {}] }],
  });
  expect(ledgerCsv([learned]).split("\r\n")).toEqual([
    "kind,method,make,mm,left out",
    `hoop.length,"'=saw, ""fine""",m0,1.2,`,
    `hoop.length,"'=saw, ""fine""",m1,1.25,`,
    `hoop.length,"'=saw, ""fine""",m2,4,left out`,
    "",
  ]);
});

test("a cell that a sheet would take for a formula or a call is text; numbers stay numbers", () => {
  for (const cell of [
    "=1+1",
    "+1",
    "-1+2",
    "-cmd",
    "@x",
    " =1",
    "\uff1d1",
    "\uff0b1",
    "\uff0d1",
    "\uff20x",
    "\tx",
    "x|'/c calc'!A0",
    "a\uff5cb",
  ])
    expect(asText(cell)).toBe(`'${cell}`);
  for (const cell of ["-1.5", "0.44", "12", "", "Tern ring", "2026-11-25", "saw, file", "-0.25"]) expect(asText(cell)).toBe(cell);
});
