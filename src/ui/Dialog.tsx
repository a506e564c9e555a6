"use client";

import { Dialog as Radix } from "radix-ui";
import { type ReactNode } from "react";
import { useFocusReturn } from "./focus-return";

interface Props {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
  readonly width?: number;
}

/** A question or a list laid over the screen; Escape closes it. */
export function Dialog({ title, onClose, children, width = 520 }: Props) {
  const giveBack = useFocusReturn();
  return (
    <Radix.Root open onOpenChange={(open) => !open && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Radix.Content
          aria-describedby={undefined}
          onCloseAutoFocus={giveBack}
          style={{ width }}
          className="fixed top-[16vh] left-1/2 z-50 max-h-[70vh] max-w-[92vw] -translate-x-1/2 overflow-y-auto rounded-lg border border-line bg-sheet p-4 shadow-2xl"
        >
          <Radix.Title className="mb-2 text-lg font-strong">{title}</Radix.Title>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

/** The answers to a dialog's question, the usual one last. */
export function DialogActions({ children }: { readonly children: ReactNode }) {
  return <div className="mt-4 flex flex-wrap justify-end gap-2">{children}</div>;
}
