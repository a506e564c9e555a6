/** The parts of home that need plans, as one file to fetch. */
export { ChosenPiece } from "./ChosenPiece";
export { PieceList } from "./PieceList";
export { TrayDrawing } from "./TrayDrawing";
