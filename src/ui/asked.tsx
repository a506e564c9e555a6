import { type Opened } from "@/workers/files/protocol";

/** What a dialog about an opened file asks about. */
export type Asked<K extends Opened["kind"]> = { readonly opened: Extract<Opened, { kind: K }>; readonly onClose: () => void };

/** Why nothing was changed. */
export function Problem({ text }: { readonly text: string | null }) {
  if (text === null) return null;
  return (
    <p role="alert" className="mt-2 text-sm text-bad">
      <span aria-hidden="true">◆ </span>
      {text}.
    </p>
  );
}
