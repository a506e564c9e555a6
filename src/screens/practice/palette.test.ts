import { colourOf, glowing, heatColours, heatShading, placeOn } from "./palette";

/** Each colour of glowing metal as a grey. */
const GREYS = ["cold", "black", "faint", "dull", "cherry", "bright", "orange", "pale"];
const style = {
  fontFamily: "Archivo",
  getPropertyValue: (name: string) => {
    const grey = (20 * (GREYS.findIndex((each) => name.endsWith(`heat-${each}`)) + 1)).toString(16).padStart(2, "0");
    return ` #${grey}${grey}${grey}`;
  },
} as unknown as CSSStyleDeclaration;
const colours = heatColours(style);
const grey = (celsius: number) => Number(/\d+/.exec(colourOf(glowing(colours), celsius))![0]);

test("metal glows by its degrees: each colour at its own, mixed between two, the ends past them", () => {
  expect([20, 480, 550, 600, 720, 800, 870, 960].map(grey)).toEqual([20, 40, 60, 80, 100, 120, 140, 160]);
  expect([grey(515), grey(760), grey(-50), grey(5000)]).toEqual([50, 110, 20, 160]);
});

test("the heat goes from the coolest place to the hottest; where all is nearly even it stays in the middle", () => {
  const wide = heatShading(colours, 300, 700);
  expect([placeOn(wide, 300), placeOn(wide, 501), placeOn(wide, 700), placeOn(wide, 900)]).toEqual([0, 128, 255, 255]);
  const even = heatShading(colours, 500, 504);
  expect([placeOn(even, 503), placeOn(even, 472), placeOn(even, 532)]).toEqual([132, 0, 255]);
});
