"use client";

import { METALS } from "@/core/metal/metals";
import { type QuickSum } from "@/core/sums/sum";
import { readSum } from "@/core/sums/sums";
import { useFocusReturn } from "./focus-return";
import { Command } from "cmdk";
import { Dialog } from "radix-ui";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { type Piece } from "@/core/piece/piece";
import { SHAPE_NAMES, SYSTEM_NAMES } from "@/words/names";
import { type Findable } from "./Find";
import { useSumActions } from "./sum-actions";
import { useTrayState, useUnits } from "./tray";
import { sayQuickSum, sumHelp } from "@/words/quick-sums";
import { findDialogText } from "@/words/ui";

/** More than anyone reads; typing narrows them. */
const MOST_PIECES = 60;

const GROUP =
  "[&_[cmdk-group-heading]]:px-2.5 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:font-strong [&_[cmdk-group-heading]]:text-soft";
const ITEM = "flex cursor-pointer items-baseline gap-3 rounded-sm px-2.5 py-1.5 text-sm data-[selected=true]:bg-accent-wash";

interface Props {
  readonly commands: readonly Findable[];
  readonly onClose: () => void;
}

/** Pieces, stages, figures and commands by what is typed. */
export function FindDialog({ commands, onClose }: Props) {
  const router = useRouter();
  const pieces = useTrayState((state) => state.pieces);
  const [search, setSearch] = useState("");
  const found = useMemo(
    () => pieces.filter(({ deleted, piece }) => deleted === null && match(pieceWords(piece), search) > 0).slice(0, MOST_PIECES),
    [pieces, search],
  );
  const bench = useTrayState((state) => state.bench);
  const units = useUnits();
  const sums = useSumActions();
  const read = useMemo(() => (search.trim() === "" ? null : readSum(search, units.length, bench)), [search, units, bench]);
  const giveBack = useFocusReturn();
  const run = (go: () => void) => {
    onClose();
    go();
  };
  return (
    <Dialog.Root open onOpenChange={onClose}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={giveBack}
          className="fixed top-[14vh] left-1/2 z-50 w-160 max-w-[calc(100vw-20px)] -translate-x-1/2 max-lg:top-[4vh] overflow-hidden rounded-lg border border-line bg-sheet shadow-2xl"
        >
          <Dialog.Title className="sr-only">{findDialogText.find}</Dialog.Title>
          <Command label={findDialogText.find} loop filter={(_, search, keywords) => match(keywords?.[0] ?? "", search)}>
            <Command.Input
              value={search}
              onValueChange={setSearch}
              placeholder={findDialogText.aPieceItsStoneOr}
              className="w-full border-b border-line bg-transparent px-4 py-3 text-base outline-none"
            />
            <Command.List className="max-h-[52vh] overflow-y-auto p-2">
              {!read?.ok && (
                <Command.Empty className="px-2.5 py-3 text-soft">
                  {findDialogText.nothingByThatName} {read && sumHelp(read.began)}
                </Command.Empty>
              )}
              {read?.ok && (
                <SumItems sum={read.sum} onCopy={(text) => run(() => sums.copy(text))} onBegin={() => run(() => sums.begin(read.sum))} />
              )}
              {([findDialogText.stages, findDialogText.figures, findDialogText.words] as const).map((group) => (
                <FindGroup key={group} name={group} items={commands.filter((each) => each.group === group)} onRun={run} />
              ))}
              <FindGroup
                name="Pieces"
                items={found.map(({ id, piece }) => ({
                  name: piece.name,
                  detail: piece.mounts[0]?.stone.material?.name ?? "",
                  words: pieceWords(piece),
                  go: () => router.push(`/pieces/${id}/wall`),
                }))}
                onRun={run}
              />
              <FindGroup name="Commands" items={commands.filter((each) => each.group === "Commands")} onRun={run} />
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

interface SumProps {
  readonly sum: QuickSum;
  readonly onCopy: (text: string) => void;
  readonly onBegin: () => void;
}

/** What a typed sum comes to, whatever else is found: its answer is copied, or a piece begun from it. */
function SumItems({ sum, onCopy, onBegin }: SumProps) {
  const units = useUnits();
  const { title, answers, sum: why, sizes, assumed, begin } = sayQuickSum(sum, units);
  const chief = answers[0]!;
  return (
    <Command.Group forceMount heading={findDialogText.sum} className={GROUP}>
      <Command.Item forceMount value="sum answer" onSelect={() => onCopy(chief.text)} className={`${ITEM} flex-wrap`}>
        <span className="text-soft">
          {title}: {chief.name}
        </span>
        <b className="text-lg font-strong">{chief.text}</b>
        <span className="ml-auto text-xs text-soft">{findDialogText.enterCopies}</span>
        <span className="narrow w-full text-xs text-soft">
          {[why, ...answers.slice(1).map(({ name, text }) => `${name} ${text}`), sizes, assumed].filter(Boolean).join("; ")}
        </span>
      </Command.Item>
      {begin && (
        <Command.Item forceMount value="sum begin" onSelect={onBegin} className={ITEM}>
          {begin}
        </Command.Item>
      )}
    </Command.Group>
  );
}

/** What a piece is found by: its name, its stones, its size and its metals. */
function pieceWords({ name, mounts, carrier }: Piece): string {
  const stones = mounts.flatMap(({ stone, wall, plate }) => [
    stone.name ?? "",
    stone.material?.name ?? "",
    SHAPE_NAMES[stone.outline.shape],
    METALS[wall.metal].name,
    plate?.metal ? METALS[plate.metal].name : "",
  ]);
  const size =
    carrier.type === "hoop" ? `${SYSTEM_NAMES[carrier.size.system]} ${carrier.size.value} ${METALS[carrier.stock.metal].name}` : "";
  return [name, ...stones, size].join(" ");
}

/** How well a name answers what is typed: each word must stand in it, best at its start. cmdk shows what is above 0. */
function match(name: string, search: string): number {
  const said = name.toLowerCase();
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.every((word) => said.includes(word))) return 0;
  return said.startsWith(words[0] ?? "") ? 1 : 0.5;
}

interface GroupProps {
  readonly name: string;
  readonly items: readonly Pick<Findable, "name" | "detail" | "words" | "go">[];
  readonly onRun: (go: () => void) => void;
}

function FindGroup({ name, items, onRun }: GroupProps) {
  if (items.length === 0) return null;
  return (
    <Command.Group heading={name} className={GROUP}>
      {items.map(({ name: text, detail, words, go }, i) => (
        <Command.Item
          key={`${text}${i}`}
          value={`${name} ${text} ${i}`}
          keywords={[words ?? text]}
          onSelect={() => onRun(go)}
          className={ITEM}
        >
          <span className="min-w-0 truncate">{text}</span>
          {detail && <span className="ml-auto text-sm whitespace-nowrap text-soft">{detail}</span>}
        </Command.Item>
      ))}
    </Command.Group>
  );
}
