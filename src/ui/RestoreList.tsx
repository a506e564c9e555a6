"use client";

import { type Choice, type RestoreItem, type Standing, choicesFor } from "@/store/restore-items";
import { STANDINGS, choiceText, restoreDetail, restoreName } from "./restore-words";
import { restoreListText } from "@/words/ui";

const ORDER: readonly Standing[] = ["newer-here", "differs", "newer-there", "deleted-here", "only-there", "same"];
/** More of one kind than this are chosen for together. */
const MOST_SHOWN = 60;

interface Props {
  readonly items: readonly RestoreItem[];
  readonly chosen: (item: RestoreItem) => Choice;
  readonly onChoose: (items: readonly RestoreItem[], choice: Choice) => void;
}

/** What of a backup is the same, newer here, newer there or only there, chosen one by one or all of a list. */
export function RestoreList({ items, chosen, onChoose }: Props) {
  return (
    <>
      {ORDER.map((standing) => {
        const own = items.filter((item) => item.standing === standing);
        if (own.length === 0) return null;
        const { length } = own;
        return (
          <section key={standing} aria-label={STANDINGS[standing]} className="mt-3 text-sm">
            <h2 className="section-head flex items-center gap-2">
              {STANDINGS[standing]}, {length}
              {standing !== "same" && length > 1 && (
                <span className="ml-auto">
                  <ChoiceMenu label={restoreListText.allOf(STANDINGS[standing])} items={own} chosen={chosen} onChoose={onChoose} />
                </span>
              )}
            </h2>
            {standing === "same" ? (
              <p className="border-t border-hair py-1 text-soft">{namesOf(own)}</p>
            ) : (
              <ul>
                {own.slice(0, MOST_SHOWN).map((item) => (
                  <li key={item.key} className="flex flex-wrap items-center gap-x-2 border-t border-hair py-1">
                    <span className="min-w-0 flex-1 break-words">
                      {restoreName(item)}
                      <small className="block text-xs text-soft">{restoreDetail(item)}</small>
                    </span>
                    <ChoiceMenu label={restoreName(item)} items={[item]} chosen={chosen} onChoose={onChoose} />
                  </li>
                ))}
                {length > MOST_SHOWN && (
                  <li className="border-t border-hair py-1 text-soft">{restoreListText.andMoreChooseForAll(length - MOST_SHOWN)}</li>
                )}
              </ul>
            )}
          </section>
        );
      })}
    </>
  );
}

/** What becomes of one item, or of several that stand alike: empty where they are chosen for one by one. */
function ChoiceMenu({ label, items, chosen, onChoose }: Props & { readonly label: string }) {
  const [first] = items;
  if (!first) return null;
  const like = items.find(({ kind }) => kind !== "bench") ?? first;
  const all = new Set(items.map(chosen));
  const value = all.size === 1 ? [...all][0]! : "";
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChoose(items, event.target.value as Choice)}
      className="btn font-normal max-lg:h-touch"
    >
      {value === "" && <option value="">{restoreListText.oneByOne}</option>}
      {choicesFor(like).map((choice) => (
        <option key={choice} value={choice}>
          {choiceText(choice, like)}
        </option>
      ))}
    </select>
  );
}

function namesOf(items: readonly RestoreItem[]): string {
  const names = items.slice(0, 8).map(restoreName).join("; ");
  return items.length > 8 ? restoreListText.andMore(names, items.length - 8) : names;
}
