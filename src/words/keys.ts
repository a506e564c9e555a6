/** The keys, and what each does. */
export const KEY_WORDS: readonly { readonly keys: string; readonly does: string }[] = [
  { keys: "N", does: "new piece" },
  { keys: "/", does: "find pieces, stages, figures and commands" },
  { keys: "[  ]", does: "previous and next stage" },
  { keys: "Ctrl Z", does: "undo; with Shift, redo" },
  { keys: "Enter", does: "accept the entry and go to the next field" },
  { keys: "↑ ↓", does: "step a measure by 0.1 (0.005 in); with Alt by a tenth of that" },
  { keys: "← →", does: "move the seam, when it has the focus" },
  { keys: "Delete", does: "delete the chosen piece, on the tray" },
  { keys: "?", does: "this list" },
];
