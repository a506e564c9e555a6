"use client";

import { Command } from "cmdk";
import { Dialog } from "radix-ui";
import { useRouter } from "next/navigation";
import { type ReactNode, createContext, useContext, useMemo, useState } from "react";
import { KEY_WORDS } from "@/words/keys";
import { Dialog as Box } from "./Dialog";
import { singleKeysOn, switchSingleKeys, useKeys } from "./keys";
import { useOpening } from "./opening";
import { useTrayState } from "./tray";

/** Something a screen lets be found: a stage, a figure, a command. */
export interface Findable {
  readonly group: "Stages" | "Figures" | "Commands";
  readonly name: string;
  readonly detail?: string;
  readonly go: () => void;
}

interface Finding {
  readonly open: () => void;
  readonly offer: (findables: readonly Findable[]) => void;
}

const FindContext = createContext<Finding>({ open: () => undefined, offer: () => undefined });

/** Where a screen says what it lets be found. */
export function useFind(): Finding {
  return useContext(FindContext);
}

export function FindButton() {
  const { open } = useFind();
  return (
    <button type="button" className="btn" onClick={open}>
      Find <kbd className="key">/</kbd>
    </button>
  );
}

const ITEM = "flex cursor-pointer items-baseline gap-3 rounded-[4px] px-2.5 py-1.5 text-[13.5px] data-[selected=true]:bg-accent-wash";

/** `/` finds pieces, stages, figures and commands; `?` lists the keys. */
export function FindProvider({ children }: { readonly children: ReactNode }) {
  const router = useRouter();
  const { pick } = useOpening();
  const pieces = useTrayState((state) => state.pieces);
  const [shown, show] = useState<"find" | "keys" | null>(null);
  const [offered, offer] = useState<readonly Findable[]>([]);
  useKeys({ "/": () => show("find"), "?": () => show("keys") });
  const value = useMemo(() => ({ open: () => show("find"), offer }), []);
  const commands: readonly Findable[] = [
    ...offered,
    { group: "Commands", name: "Open a file", go: pick },
    { group: "Commands", name: "My bench", go: () => router.push("/my-bench") },
    { group: "Commands", name: "Back to the tray", go: () => router.push("/") },
    { group: "Commands", name: "List the keys", go: () => show("keys") },
  ];
  const run = (go: () => void) => {
    show(null);
    go();
  };
  return (
    <FindContext value={value}>
      {children}
      <Dialog.Root open={shown === "find"} onOpenChange={(open) => show(open ? "find" : null)}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-[#1b2225]/30" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed top-[14vh] left-1/2 z-50 w-[560px] -translate-x-1/2 overflow-hidden rounded-[8px] border border-line bg-sheet shadow-2xl"
          >
            <Dialog.Title className="sr-only">Find</Dialog.Title>
            <Command label="Find" loop filter={(_, search, keywords) => match(keywords?.[0] ?? "", search)}>
              <Command.Input
                placeholder="A piece, a stage, a figure, a command"
                className="w-full border-b border-line bg-transparent px-4 py-3 text-[15px] outline-none"
              />
              <Command.List className="max-h-[52vh] overflow-y-auto p-2">
                <Command.Empty className="px-2.5 py-3 text-soft">Nothing by that name.</Command.Empty>
                {(["Stages", "Figures"] as const).map((group) => (
                  <FindGroup key={group} name={group} items={commands.filter((each) => each.group === group)} onRun={run} />
                ))}
                <FindGroup
                  name="Pieces"
                  items={pieces
                    .filter(({ deleted }) => deleted === null)
                    .map(({ id, piece }) => ({
                      name: piece.name,
                      detail: piece.mounts[0]?.stone.material?.name ?? "",
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
      {shown === "keys" && <KeysList onClose={() => show(null)} />}
    </FindContext>
  );
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
  readonly items: readonly Pick<Findable, "name" | "detail" | "go">[];
  readonly onRun: (go: () => void) => void;
}

function FindGroup({ name, items, onRun }: GroupProps) {
  if (items.length === 0) return null;
  return (
    <Command.Group
      heading={name}
      className="[&_[cmdk-group-heading]]:px-2.5 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-[12px] [&_[cmdk-group-heading]]:font-[640] [&_[cmdk-group-heading]]:text-soft"
    >
      {items.map(({ name: text, detail, go }, i) => (
        <Command.Item key={`${text}${i}`} value={`${name} ${text} ${i}`} keywords={[text]} onSelect={() => onRun(go)} className={ITEM}>
          <span className="min-w-0 truncate">{text}</span>
          {detail && <span className="ml-auto text-[12.5px] whitespace-nowrap text-soft">{detail}</span>}
        </Command.Item>
      ))}
    </Command.Group>
  );
}

function KeysList({ onClose }: { readonly onClose: () => void }) {
  const [on, setOn] = useState(singleKeysOn);
  return (
    <Box title="Keys" onClose={onClose} width={480}>
      <dl className="text-[13.5px]">
        {KEY_WORDS.map(({ keys, does }) => (
          <div key={keys} className="grid grid-cols-[90px_1fr] border-t border-hair py-1.5">
            <dt>
              <kbd className="key">{keys}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <label className="mt-3 flex items-center gap-2 text-[13.5px]">
        <input
          type="checkbox"
          checked={on}
          onChange={(event) => {
            switchSingleKeys(event.target.checked);
            setOn(event.target.checked);
          }}
          className="accent-[#0b5d66]"
        />
        Single keys work, outside fields
      </label>
    </Box>
  );
}
