import { useState } from "react";

/** Gives the focus back to what had it when a dialog was opened; for the dialog's `onCloseAutoFocus`. */
export function useFocusReturn(): (event: Event) => void {
  const [opener] = useState(() => (typeof document === "undefined" ? null : document.activeElement));
  return (event) => {
    if (!(opener instanceof HTMLElement) || !opener.isConnected) return;
    event.preventDefault();
    opener.focus();
  };
}
