"use client";

import { Dialog as Radix } from "radix-ui";
import { type ReactNode } from "react";
import { useFocusReturn } from "@/ui/focus-return";
import { nightDialogText } from "@/words/screens/at-bench";

interface Props {
  readonly title: string;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A dialog of bench mode: dark, and large enough for a wet hand. */
export function NightDialog({ title, onClose, children }: Props) {
  const giveBack = useFocusReturn();
  return (
    <Radix.Root open onOpenChange={(open) => !open && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/60" />
        <Radix.Content
          aria-describedby={undefined}
          onCloseAutoFocus={giveBack}
          className="night fixed inset-x-0 bottom-0 z-50 mx-auto max-h-[86dvh] max-w-217 overflow-y-auto rounded-t-[12px] border border-night-edge bg-night px-5 pt-4 pb-6 text-night-ink lg:bottom-auto lg:top-[10vh] lg:rounded-[12px]"
        >
          <div className="mb-3 flex items-center gap-3">
            <Radix.Title className="text-2xl font-bold">{title}</Radix.Title>
            <Radix.Close className="night-btn ml-auto !min-h-touch !text-lg">{nightDialogText.close}</Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
