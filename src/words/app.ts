export const errorText = {
  thisScreenCouldNotBe: "This screen could not be shown.",
  whatYouTypedIsKept: "What you typed is kept on this device.",
  tryAgain: "Try again",
};

export const layoutText = {
  hoopLedger: "Hoop Ledger",
  sizesBezelStripsPlatesAnd: "Sizes bezel strips, plates and ring blanks, and plans the heats",
};

export const manifestText = {
  newPiece: "New piece",
  atTheBench: "At the bench",
  ledger: "Ledger",
};

export const notFoundText = {
  thereIsNoSuchPage: "There is no such page.",
};
