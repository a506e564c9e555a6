/** Degrees C up to which flux is wet, white and puffed, and honey; from the last on it is clear and works. */
const STAGES = { wet: 120, white: 400, honey: 590 } as const;
/** It is spent once it has been over so many degrees for so many seconds. */
const SPENT = [
  { over: 700, seconds: 60 },
  { over: 850, seconds: 8 },
] as const;

export type FluxStage = "none" | "wet" | "white" | "honey" | "clear" | "spent";

/** Flux at one place of a joint (section 13 of the formulas). */
export class FluxAt {
  stage: FluxStage = "none";
  /** Whether a film of it has flowed between the sides. */
  isFilm = false;
  private readonly over: [number, number] = [0, 0];
  private isSpent = false;

  /** Laid on; what is spent stays so until it is cleaned. */
  flux(cooler: number, hotter: number): void {
    if (this.isSpent) return;
    this.stage = "wet";
    this.heat(cooler, hotter, 0);
  }

  clean(): void {
    this.stage = "none";
    this.isFilm = false;
    this.isSpent = false;
    this.over.fill(0);
  }

  /** So many seconds with its sides at these temperatures. Gives whether more or less heat passes from now on. */
  heat(cooler: number, hotter: number, seconds: number): boolean {
    if (this.stage === "none" || this.isSpent) return false;
    for (let i = 0; i < SPENT.length; i++) {
      const { over, seconds: most } = SPENT[i]!;
      if (hotter <= over) continue;
      this.over[i] = this.over[i]! + seconds;
      if (this.over[i]! > most) this.isSpent = true;
    }
    if (this.isSpent) {
      this.stage = "spent";
      return false;
    }
    if (this.stage === "wet" && cooler > STAGES.wet) this.stage = "white";
    if (this.stage === "white" && cooler > STAGES.white) this.stage = "honey";
    if (this.stage !== "honey" || cooler < STAGES.honey) return false;
    this.stage = "clear";
    this.isFilm = true;
    return true;
  }
}
