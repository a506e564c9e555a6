export const screenScaleText = {
  theScreenSizeIsSet: "The screen size is set.",
  theScreenSizeIsNot: "The screen size is not set yet: what you see may be a few per cent off.",
  setTheScreen: "Set the screen",
  layABankCardOn: "Lay a bank card on the screen, its left edge on the left line, and drag the right edge until it is covered.",
  done: "Done",
  rightEdgeOfTheCard: "Right edge of the card",
  pixelsToAnInch: (pixels: string) => `${pixels} pixels to an inch`,
  pixelsToAMillimetre: (now: string) => `${now} pixels to a millimetre`,
  aBankCard: "a bank card",
};

export const templatesScreenText = {
  revision: (revision: number) => `revision ${revision}`,
  backTo: (name: string) => `Back to ${name}`,
  layingThemOut: "Laying them out",
  saveToPrint: "Save to print",
  templates: (pieces: string) => `Templates, ${pieces}`,
  templatesEnlarged: "Templates, enlarged",
  shown: "Shown",
  enlarged: "Enlarged",
  atLifeSize: "Life size",
  aboutLifeSize: "about life size",
  lifeSize: "life size",
  printThemAt100And:
    "Print them at 100% and measure the bars first. Glue a template to the sheet, saw along the full line and file to the dashed one.",
  svg: "SVG",
  saveAsSvg: (id: string) => `Save ${id} as SVG`,
  dxf: "DXF",
  saveAsDxf: (id: string) => `Save ${id} as DXF`,
};

export const sheetsText = {
  onPaper: "On paper",
  sheets: (sheets: string) => `On paper: ${sheets}`,
  sheet: (number: number, what: string) => `Sheet ${number}: ${what}`,
  number: (number: number, of: number) => `${number} of ${of}`,
};
