import { layOutPage, newDevice } from "@/store/a-page.testing";
import { noteAsked } from "@/store/journal";
import { standInsOn, switchStandIns } from "./stand-ins";

layOutPage();

test("stand-ins are offered until there is a piece of one's own; what the maker chooses holds from then on", () => {
  newDevice();
  expect(standInsOn()).toBe(true);
  noteAsked();
  expect(standInsOn()).toBe(false);
  switchStandIns(true);
  expect(standInsOn()).toBe(true);
  switchStandIns(false);
  expect(standInsOn()).toBe(false);
});
