/** Keeps a text on this device alone; false where the browser takes no more. */
export function keepOnDevice(name: string, text: string): boolean {
  try {
    localStorage.setItem(name, text);
    return true;
  } catch (error) {
    console.warn(`${name} is not kept`, error);
    return false;
  }
}

/** A choice kept on this device alone; `usual` where the maker has not chosen. */
export function isSwitchedOn(name: string, usual: boolean): boolean {
  const chosen = localStorage.getItem(name);
  return chosen === null ? usual : chosen === "on";
}

export function switchOnDevice(name: string, on: boolean): void {
  localStorage.setItem(name, on ? "on" : "off");
}
