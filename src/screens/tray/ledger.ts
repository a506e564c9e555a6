/** The parts of home that need plans or ask something, as one file to fetch. */
export { ChosenPiece } from "./ChosenPiece";
export { CouldNotBeRead } from "./CouldNotBeRead";
export { Deleted } from "./Deleted";
export { PieceList } from "./PieceList";
export { TrayDrawing } from "./TrayDrawing";
