export const appliedListText = {
  across: "Across",
  thick: "Thick",
  inside: "Inside",
  long: "Long",
  wide: "Wide",
  sweatedOn: "Sweated on",
  remove: (name: string) => `Remove ${name}`,
  along: "Along",
  right: "Right",
  up: "Up",
  turned: "Turned",
  on: "On",
  when: "When",
  formed: "Formed",
  flat: "Flat",
};

export const appliedShapesText = {
  turnOf: (name: string) => `Turn of ${name}`,
  degrees: (turn: string) => `${turn} degrees`,
};
