export const settingsListText = {
  settingsOfThisPiece: "Settings of this piece",
  remove: (setting: string) => `Remove ${setting}`,
  sideBySide: "Side by side",
  touching: "Touching",
  apart: (gap: string) => `${gap} apart`,
  even: "Even",
  addASetting: "Add a setting",
};
