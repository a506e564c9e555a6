/** A choice kept on this device alone; `usual` where the maker has not chosen. */
export function isSwitchedOn(name: string, usual: boolean): boolean {
  const chosen = localStorage.getItem(name);
  return chosen === null ? usual : chosen === "on";
}

export function switchOnDevice(name: string, on: boolean): void {
  localStorage.setItem(name, on ? "on" : "off");
}
