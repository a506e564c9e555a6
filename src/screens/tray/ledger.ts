/** The parts of home that need plans or ask something, as one file to fetch. */
export { CouldNotBeRead } from "./CouldNotBeRead";
export { Deleted } from "./Deleted";
export { Home } from "./Home";
export { KeptHere } from "./KeptHere";
