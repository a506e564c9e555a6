"use client";

import { useState } from "react";
import { KEY_WORDS } from "@/words/keys";
import { Dialog } from "./Dialog";
import { singleKeysOn, switchSingleKeys } from "./keys";
import { keysListText } from "@/words/ui";

/** The keys there are, and whether single ones work. */
export function KeysList({ onClose }: { readonly onClose: () => void }) {
  const [on, setOn] = useState(singleKeysOn);
  return (
    <Dialog title={keysListText.keys} onClose={onClose} width={480}>
      <dl className="text-sm">
        {KEY_WORDS.map(({ keys, does }) => (
          <div key={keys} className="grid grid-cols-[90px_1fr] border-t border-hair py-1.5">
            <dt>
              <kbd className="key">{keys}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <label className="mt-3 flex items-center gap-2 text-sm">
        <input
          type="checkbox"
          checked={on}
          onChange={(event) => {
            switchSingleKeys(event.target.checked);
            setOn(event.target.checked);
          }}
          className="accent-accent"
        />
        {keysListText.useSingleKeysOutsideFields}
      </label>
    </Dialog>
  );
}
