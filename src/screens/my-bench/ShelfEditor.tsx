"use client";

import { Plus, Trash2 } from "lucide-react";
import { type Draft as Editable } from "immer";
import { Fragment, useState } from "react";
import { overlapsOf } from "@/core/heats/overlaps";
import { MM_PER_INCH, readLength, readNumber, readTemperature } from "@/core/measure/reading";
import { type Grade, type Shelf, type SolderForm } from "@/core/metal/shelf";
import { SHIPPED } from "@/core/piece/bench";
import { useUnits } from "@/ui/tray";
import { plainId } from "@/formats/plain-id";
import { MOST_TABLE_BYTES, type ReadShelves, formsText, readForms, readShelvesCsv, shelvesCsv } from "@/formats/shelves-csv";
import { saveFile } from "@/ui/save-file";
import { overlapText } from "@/words/heats";
import { type Units, degrees, showTemperature } from "@/words/show";
import { capital, counted, gradeName } from "@/words/names";
import { Explained } from "@/ui/Explained";
import { type BenchEdit } from "./bench-edit";
import { BenchEntryField } from "./BenchEntryField";
import { shelfEditorText } from "@/words/screens/my-bench";

const COLUMNS = [
  { name: "gives", label: shelfEditorText.givesAt },
  { name: "runs", label: shelfEditorText.runsAt },
  { name: "rank", label: shelfEditorText.rank },
] as const;

/** The solder shelf: each grade, where it gives and where it runs, from the maker's own supplier's sheet. */
export function ShelfEditor({ edit }: { readonly edit: BenchEdit }) {
  const units = useUnits();
  const shelves = edit.bench.shelves?.length ? edit.bench.shelves : SHIPPED.shelves;
  const change = (recipe: (shelves: Editable<Shelf>[]) => void) =>
    edit.change((bench) => {
      if (!bench.shelves?.length) bench.shelves = structuredClone(SHIPPED.shelves) as Editable<Shelf>[];
      recipe(bench.shelves);
    });
  // Found by their names, not their places: a second press before the first is drawn must not meet another.
  const changeShelf = (shelf: string, recipe: (own: Editable<Shelf>, all: Editable<Shelf>[]) => void) =>
    change((all) => all.filter(({ id }) => id === shelf).forEach((own) => recipe(own, all)));
  const changeGrade = (shelf: string, grade: string, recipe: (own: Editable<Grade>, all: Editable<Grade>[]) => void) =>
    changeShelf(shelf, ({ grades }) => grades.filter(({ id }) => id === grade).forEach((own) => recipe(own, grades)));
  const [opened, setOpened] = useState<string | null>(null);
  const open = (shelf: string, isOpen: boolean) => setOpened((now) => (isOpen ? shelf : now === shelf ? null : now));
  const addShelf = async () => {
    const shelf = newShelf(shelves);
    if ((await change((all) => void all.push(shelf))) === null) setOpened(shelf.id);
  };
  const rename = async (shelf: string, id: string) => {
    const refused = await changeShelf(shelf, (own) => void (own.id = id));
    if (refused === null) setOpened((now) => (now === shelf ? id : now));
    return refused;
  };
  const [problem, setProblem] = useState<string | null>(null);
  const openTable = async (input: HTMLInputElement) => {
    const file = input.files?.[0];
    if (!file) return;
    const isLarge = file.size > MOST_TABLE_BYTES;
    const read = isLarge ? null : readShelvesCsv(await file.text());
    input.value = "";
    if (!read) return setProblem(shelfEditorText.hasKbATableOf(file.name, Math.round(file.size / 1000), MOST_TABLE_BYTES / 1000));
    if (!read.ok && "tooMany" in read) return setProblem(shelfEditorText.hasLinesATableOf(file.name, read.tooMany, read.limit));
    if (!read.ok) return setProblem(shelfEditorText.line(file.name, read.line, wrongIn(read)));
    setProblem(await change((all) => void all.splice(0, all.length, ...(read.shelves as Editable<Shelf>[]))));
  };
  return (
    <>
      {shelves.map((shelf, s) => (
        <section key={shelf.id} aria-label={shelfEditorText.shelf(shelf.id)} className="border-t border-hair">
          <details open={opened === shelf.id} onToggle={({ currentTarget }) => open(shelf.id, currentTarget.open)}>
            <summary className="tap cursor-pointer truncate py-1.5 text-sm max-lg:min-h-touch">
              <b className="font-strong">{capital(gradeName(shelf.id))}</b>
              <span className="text-soft">
                {s === 0 && ` ${shelfEditorText.inUse}`} · {gradesText(shelf, units)}
              </span>
            </summary>
            <div className="flex items-center justify-between pt-1.5">
              <h3 className="flex items-center gap-1 text-sm font-strong">
                <NameEntry
                  label={shelfEditorText.nameOfShelf(shelf.id)}
                  id={shelf.id}
                  others={shelves.flatMap(({ id }) => (id === shelf.id ? [] : [id]))}
                  onName={(id) => rename(shelf.id, id)}
                />
              </h3>
              <span className="flex gap-1">
                {s > 0 && (
                  <button
                    type="button"
                    className="btn"
                    onClick={() => void changeShelf(shelf.id, (own, all) => void all.unshift(...all.splice(all.indexOf(own), 1)))}
                  >
                    {shelfEditorText.useThisOne}
                  </button>
                )}
                <button
                  type="button"
                  className="btn"
                  onClick={() => void changeShelf(shelf.id, ({ grades }) => void grades.push(newGrade(grades)))}
                >
                  <Plus size={14} aria-hidden="true" /> {shelfEditorText.grade}
                </button>
              </span>
            </div>
            <table className="w-full text-sm">
              <thead className="text-soft">
                <tr>
                  <th className="text-left font-medium">{shelfEditorText.grade}</th>
                  {COLUMNS.map(({ name, label }) => (
                    <th key={name} className="pl-2 text-right font-medium">
                      {name === "rank" ? label : <Explained word={name}>{label}</Explained>}
                    </th>
                  ))}
                  <th>
                    <span className="sr-only">{shelfEditorText.remove}</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {shelf.grades.map((grade) => (
                  <Fragment key={grade.id}>
                    <tr>
                      <td className="py-1">
                        <NameEntry
                          label={shelfEditorText.nameOfOf(gradeName(grade.id), shelf.id)}
                          id={grade.id}
                          others={shelf.grades.flatMap(({ id }) => (id === grade.id ? [] : [id]))}
                          onName={(id) => changeGrade(shelf.id, grade.id, (own) => void (own.id = id))}
                        />
                      </td>
                      {COLUMNS.map(({ name, label }) => (
                        <td key={name} className="w-26.5 py-1 pl-2">
                          <BenchEntryField
                            label={shelfEditorText.of(gradeName(grade.id), shelf.id, label)}
                            hidesLabel
                            value={name === "rank" ? String(grade[name]) : showTemperature(grade[name], units)}
                            unit={name === "rank" ? "" : degrees(units)}
                            onTake={(text) => {
                              const reading = name === "rank" ? readNumber(text) : readTemperature(text, units.temperature);
                              return reading.ok
                                ? changeGrade(shelf.id, grade.id, (own) => void (own[name] = reading.value))
                                : shelfEditorText.typeANumberAs(name === "rank" ? "3" : showTemperature(718, units));
                            }}
                          />
                        </td>
                      ))}
                      <td className="w-9.5 py-1 pl-1">
                        <button
                          type="button"
                          className="btn btn-plain"
                          disabled={shelf.grades.length === 1}
                          aria-label={shelfEditorText.removeOf(gradeName(grade.id), shelf.id)}
                          onClick={() => void changeGrade(shelf.id, grade.id, (own, all) => void all.splice(all.indexOf(own), 1))}
                        >
                          <Trash2 size={14} aria-hidden="true" />
                        </button>
                      </td>
                    </tr>
                    <tr>
                      <td className="pr-2 pb-1.5 text-right text-xs text-soft">{shelfEditorText.inStock}</td>
                      <td colSpan={3} className="pb-1.5 pl-2">
                        <BenchEntryField
                          label={shelfEditorText.ofInStock(gradeName(grade.id), shelf.id)}
                          hidesLabel
                          isText
                          value={inHandText(grade.forms, units)}
                          onTake={(text) => {
                            const forms = readForms(text, (each) => lengthIn(each, units));
                            if (forms === null) return shelfEditorText.typeSheetWireOrPaste;
                            return changeGrade(shelf.id, grade.id, (own) => {
                              if (forms.length > 0) own.forms = forms;
                              else delete own.forms;
                            });
                          }}
                        />
                      </td>
                      <td />
                    </tr>
                  </Fragment>
                ))}
              </tbody>
            </table>
            <ul className="mt-1 text-xs leading-snug">
              {overlapsOf(shelf, edit.bench.overshoot ?? SHIPPED.overshoot).map((overlap) => (
                <li
                  key={overlap.softer}
                  className={overlap.what === "runs" ? "text-bad" : overlap.what === "softens" ? "text-warn" : "text-soft"}
                >
                  {overlapText(overlap, units)}
                </li>
              ))}
            </ul>
          </details>
        </section>
      ))}
      <div className="mb-2 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => void addShelf()}>
          <Plus size={14} aria-hidden="true" /> {shelfEditorText.anotherShelf}
        </button>
        <button type="button" className="btn" onClick={() => saveFile("shelves.csv", shelvesCsv(shelves), "text/csv")}>
          {shelfEditorText.saveAsATable}
        </button>
        <label className="btn cursor-pointer">
          {shelfEditorText.openATable}
          <input type="file" accept=".csv,text/csv" className="sr-only" onChange={(event) => void openTable(event.target)} />
        </label>
      </div>
      {problem && (
        <p role="alert" className="mb-2 text-xs text-bad">
          ◆ {problem}.
        </p>
      )}
      <p className="narrow text-xs text-soft">{shelfEditorText.theseAreTypicalPublishedValues}</p>
    </>
  );
}

/** "4 grades, run at 652 to 787 °C": a shelf in a line. */
function gradesText({ grades }: Shelf, units: Units): string {
  const runs = grades.map((grade) => grade.runs);
  return shelfEditorText.grades(
    counted(grades.length, "grade"),
    showTemperature(Math.min(...runs), units),
    `${showTemperature(Math.max(...runs), units)} ${degrees(units)}`,
  );
}

/** What is in hand, thicknesses in the maker's unit. */
function inHandText(forms: readonly SolderForm[] | undefined, { length }: Units): string {
  const inUnit = (mm: number) => (length === "inch" ? Number((mm / MM_PER_INCH).toFixed(4)) : mm);
  return formsText(forms?.map(({ type, thickness }) => (thickness === undefined ? { type } : { type, thickness: inUnit(thickness) })));
}

function lengthIn(text: string, { length }: Units): number | null {
  const reading = readLength(text, length);
  return reading.ok ? reading.value : null;
}

function wrongIn({ column, got, isTwice }: Extract<ReadShelves, { readonly line: number }>): string {
  if (isTwice) return shelfEditorText.isAlreadyOnThatShelf(got);
  return shelfEditorText.theEntryUnderCannotBe(column, got && `: "${got}"`);
}

interface NameProps {
  readonly label: string;
  readonly id: string;
  readonly others: readonly string[];
  /** Takes another; returns what is against it, or null. */
  readonly onName: (id: string) => Promise<string | null>;
}

/** The maker's own word for a shelf or a grade. */
function NameEntry({ label, id, others, onName }: NameProps) {
  return (
    <BenchEntryField
      label={label}
      hidesLabel
      isText
      value={capital(gradeName(id))}
      onTake={async (text) => {
        const named = plainId(text);
        if (named === "") return shelfEditorText.typeAWordAsHard;
        if (others.includes(named)) return shelfEditorText.typeANameThatIs;
        return named === id ? null : onName(named);
      }}
    />
  );
}

/** Another shelf, with the grades of the first to be put right from its own sheet. */
function newShelf(shelves: readonly Shelf[]): Editable<Shelf> {
  const taken = new Set(shelves.map(({ id }) => id));
  const id = ["mine", "second", "third"].find((name) => !taken.has(name)) ?? `shelf-${shelves.length + 1}`;
  return { ...(structuredClone(shelves[0]) as Editable<Shelf>), id };
}

/** A grade to be named by its numbers: softer than the softest there. */
function newGrade(grades: readonly Grade[]): Editable<Grade> {
  const last = grades.at(-1);
  const names = ["extra-hard", "hard", "medium", "easy", "extra-easy", "paste", "second-easy"];
  const id = names.find((name) => !grades.some((grade) => grade.id === name)) ?? `grade-${grades.length + 1}`;
  if (id === "extra-hard") return { id, rank: 0, gives: 775, runs: 800, forms: [{ type: "sheet", thickness: 0.25 }] };
  return {
    id,
    rank: (last?.rank ?? 0) + 1,
    gives: last?.gives ?? 600,
    runs: last?.runs ?? 640,
    forms: [{ type: "sheet", thickness: 0.25 }],
  };
}
