/** A text as it may stand in a name: tabs and line ends become spaces, other control characters go. Spaces at its ends stay, for it may still be typed. */
export function oneLine(text: string): string {
  return text.replace(/(\r\n|[\t\n\v\f\r\u0085\u2028\u2029])+/g, " ").replace(/[\u0000-\u001f\u007f-\u009f]/g, "");
}
