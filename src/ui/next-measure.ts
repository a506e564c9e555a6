/**
 * A caliper types its reading and Enter, one after another: Enter goes on to the next measure of a page or of a part of it, past lists and
 * words. Returns whether there was one.
 */
export function focusNextMeasure(input: HTMLInputElement, within: ParentNode = document): boolean {
  const measures = [...within.querySelectorAll<HTMLInputElement>("input[inputmode=decimal]")];
  const next = measures.find((each) => input.compareDocumentPosition(each) & Node.DOCUMENT_POSITION_FOLLOWING);
  next?.focus();
  return next !== undefined;
}
