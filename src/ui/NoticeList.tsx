"use client";

import { Toast } from "radix-ui";
import { type Notice } from "./notices";

/** How long a notice stands (ms), and one that can be acted on. */
const STANDS = 5000;
const STANDS_TO_ACT = 30_000;

export function NoticeList({ notices, onDrop }: { readonly notices: readonly Notice[]; readonly onDrop: (id: number) => void }) {
  return (
    <Toast.Provider duration={STANDS}>
      {notices.map(({ id, text, isBad, action }) => (
        <Toast.Root
          key={id}
          duration={action ? STANDS_TO_ACT : STANDS}
          onOpenChange={(open) => !open && onDrop(id)}
          className={`pointer-events-none mt-2 flex items-center gap-3 rounded-md border px-3 py-2 text-sm shadow-lg ${isBad ? "border-bad bg-bad-wash text-melt" : "border-line bg-ink text-white"}`}
        >
          <Toast.Description>
            {isBad && <span aria-hidden="true">◆ </span>}
            {text}
          </Toast.Description>
          {action && (
            <Toast.Action altText={action.name} asChild>
              <button type="button" className="btn pointer-events-auto" onClick={action.run}>
                {action.name}
              </button>
            </Toast.Action>
          )}
        </Toast.Root>
      ))}
      <Toast.Viewport className="pointer-events-none fixed top-12 left-1/2 z-50 -translate-x-1/2 outline-none print:hidden" />
    </Toast.Provider>
  );
}
