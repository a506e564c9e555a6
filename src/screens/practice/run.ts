import { type HeatBody } from "@/core/practice/body";
import { Hand } from "@/core/practice/hand";
import { STEP_MS, type TorchAct } from "@/core/practice/heat";
import { isDecided, type Outcome } from "@/core/practice/outcome";
import { type ActAt, type Flame, Playing, partNow } from "@/core/practice/play";
import { MOST_DISTANCE, type TorchMoment, USUAL_TOWARD, bestDistance } from "@/core/practice/torch";
import { type Aim, type Watch, aimsOf, poorestFlux, watchOf } from "@/core/practice/watch";
import { type FluxStage } from "@/core/practice/flux";

/** Who holds the flame. */
export type Holder = "maker" | "hand" | "again";

/** Temperatures of the parts at a moment of a try. */
export interface Moment {
  readonly seconds: number;
  readonly parts: readonly { readonly mean: number; readonly least: number; readonly most: number }[];
}

/** A try that is over: its flame, its lines, and what came of it. */
export interface Tried {
  readonly flame: Flame;
  readonly course: readonly Moment[];
  readonly outcome: Outcome;
  readonly holder: Holder;
}

/** How hot each part was every second of a try, in whole degrees: what is kept beside it. */
export function linesOf(course: readonly Moment[]): readonly (readonly number[])[] {
  const count = course[0]?.parts.length ?? 0;
  const every = course.filter(({ seconds }, i) => i === course.length - 1 || Math.abs(seconds - Math.round(seconds)) < LOOKS / 2000);
  return Array.from({ length: count }, (_, p) => every.map(({ parts }) => Math.round(parts[p]!.mean)));
}

/** A heat under practice as the page shows it. */
export interface Shown {
  readonly holder: Holder;
  readonly seconds: number;
  readonly isPaused: boolean;
  readonly isBegun: boolean;
  readonly isDecided: boolean;
  readonly torch: TorchMoment;
  readonly course: readonly Moment[];
  readonly watch: Watch;
  readonly aims: readonly Aim[];
  readonly flux: FluxStage | null;
  /** Whether the careful hand goes before as a flame to follow. */
  readonly hasGhost: boolean;
  /** What came of it; null while it goes on. */
  readonly outcome: Outcome | null;
}

/** ms of the heat from one look of the page to the next, and from one look of the careful hand. */
const LOOKS = 100;
/** A page that was away goes on from where it was: it makes up no more than this at once (ms). */
const MOST_AT_ONCE = 100;
/** A flame begins bushy (mm). */
const USUAL_SIZE = 5;
/** Steps of a mm that the flame is put by, so that its file stays short. */
const GRAINS = 100;
/** As far from the body's middle as a file takes (mm). */
const FARTHEST = 500;

/** A try as it is played: the page moves its flame and shows it, and is told when to look again. */
export class PracticeRun {
  private playing: Playing;
  private torch: TorchMoment;
  private flame: TorchMoment[] = [];
  private acts: ActAt[] = [];
  private course: Moment[] = [];
  private isPaused = false;
  private isBegun = false;
  private behind = 0;
  /** ms of the clock since the page was told, and whether there is news for it. */
  private sinceTold = 0;
  private hasNews = false;
  private outcome: Outcome | null = null;
  private followed = 0;
  private isPlayedOut = false;
  private readonly listeners = new Set<() => void>();
  private shown: Shown;
  private readonly hand: Hand | null;
  private readonly ghost: Ghost | null;

  constructor(
    readonly body: HeatBody,
    readonly holder: Holder = "maker",
    private readonly again: Flame | null = null,
    /** Told once it is over. */
    private readonly onOver: (tried: Tried) => void = () => undefined,
    /** How many times faster than it is. */
    private readonly speed = 1,
    hasGhost = false,
  ) {
    this.playing = new Playing(body);
    const size = USUAL_SIZE;
    this.torch = { ms: 0, x: 0, y: 0, size, isOn: false, isBelow: false, distance: bestDistance(size), toward: USUAL_TOWARD };
    this.hand = holder === "hand" ? new Hand(body) : null;
    this.ghost = hasGhost ? new Ghost(body) : null;
    this.isBegun = holder !== "maker";
    this.shown = this.look();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly now = (): Shown => this.shown;

  /** What a canvas draws at each frame. */
  get heat() {
    return this.playing.heat;
  }

  get torchNow(): TorchMoment {
    return this.torch;
  }

  /** Where the careful hand holds its flame now, while it goes before. */
  get ghostTorch(): TorchMoment | null {
    return this.ghost?.torch ?? null;
  }

  /** Where the flame is put from now on; what is left out stays. It begins once it is lit. */
  hold(change: Partial<Omit<TorchMoment, "ms">>): void {
    if (this.holder !== "maker" || this.outcome) return;
    const next = { ...this.torch, ...change };
    const within = (mm: number) => grained(Math.max(-FARTHEST, Math.min(FARTHEST, mm)));
    const torch = { ...next, x: within(next.x), y: within(next.y), distance: grained(Math.min(MOST_DISTANCE, next.distance)) };
    const isMoved = torch.x !== this.torch.x || torch.y !== this.torch.y;
    this.torch = torch;
    if (torch.isOn && !this.isBegun) this.isBegun = true;
    // where it is the canvas sees by itself, many times between two looks
    else if (
      isMoved &&
      Object.keys(change).every((key) => key === "x" || key === "y" || (key === "isOn" && next.isOn === this.shown.torch.isOn))
    )
      return;
    this.tell();
  }

  /** How it lies before it begins. */
  lay(act: TorchAct): void {
    this.playing.heat.act(act);
    this.acts.push({ ms: 0, do: act });
    this.shown = this.look();
  }

  act(act: TorchAct): void {
    if (this.holder !== "maker" || this.outcome) return;
    this.playing.heat.act(act);
    this.acts.push({ ms: this.playing.ms, do: act });
    this.isBegun = true;
    this.tell();
  }

  pause(isPaused: boolean): void {
    this.isPaused = isPaused;
    this.tell();
  }

  /**
   * Goes on by so many ms of the clock. Gives whether more than steps was done: the careful hand looked, or the page was told. Neither is done in the other's
   * frame as long as there is a frame between, so that none is late.
   */
  advance(ms: number): boolean {
    if (this.isPaused || !this.isBegun || this.outcome) return false;
    this.behind += Math.min(ms, MOST_AT_ONCE) * this.speed;
    this.sinceTold += ms;
    let hasLooked = false;
    while (this.behind >= STEP_MS && !this.outcome) {
      this.behind -= STEP_MS;
      hasLooked = this.step() || hasLooked;
    }
    const isDue = this.hasNews && (hasLooked ? this.sinceTold >= 2 * LOOKS : this.sinceTold >= LOOKS / 2);
    if (isDue) this.tell();
    return hasLooked || isDue;
  }

  /** One step; gives whether it was one at which is looked. */
  private step(): boolean {
    const { playing } = this;
    const isLook = playing.ms % LOOKS === 0;
    if (this.hand && isLook) this.torch = this.hand.next(playing.heat, playing.ms);
    if (this.again) this.followAgain(this.again);
    this.record();
    if (playing.isOver || this.isPlayedOut) {
      this.end();
      return isLook;
    }
    this.ghost?.step();
    playing.step();
    if (isLook) {
      this.course.push({ seconds: playing.heat.seconds, parts: this.body.parts.map((_, p) => partNow(playing.heat, p)) });
      this.hasNews = true;
    }
    return isLook;
  }

  private followAgain({ flame, acts }: Flame): void {
    const { ms } = this.playing;
    for (const act of acts.slice(this.acts.length)) {
      if (act.ms > ms) break;
      this.playing.heat.act(act.do);
      this.acts.push(act);
    }
    while (this.followed < flame.length && flame[this.followed]!.ms <= ms) this.torch = flame[this.followed++]!;
    if (this.followed === flame.length && !this.torch.isOn && this.acts.length === acts.length) this.isPlayedOut = true;
  }

  /** The flame takes hold at a step: only there it is written down, so that played again it is the same to the bit. */
  private record(): void {
    const last = this.flame.at(-1);
    const { torch } = this;
    const isSame =
      last &&
      last.x === torch.x &&
      last.y === torch.y &&
      last.size === torch.size &&
      last.isOn === torch.isOn &&
      last.isBelow === torch.isBelow &&
      last.distance === torch.distance;
    if (isSame) return;
    const moment = { ...torch, ms: this.playing.ms };
    this.flame.push(moment);
    this.playing.heat.setTorch(moment);
  }

  /** Ends it as it is. */
  end(): void {
    if (this.outcome) return;
    this.outcome = this.playing.outcome();
    const flame = [...this.flame];
    // its last moment tells when it ended
    const { ms } = this.playing;
    const last = flame.at(-1) ?? this.torch;
    if (last.isOn || last.ms < ms) flame.push({ ...last, ms, isOn: false });
    this.onOver({ flame: { flame, acts: this.acts }, course: this.course, outcome: this.outcome, holder: this.holder });
    this.tell();
  }

  private tell(): void {
    this.shown = this.look();
    [this.sinceTold, this.hasNews] = [0, false];
    this.listeners.forEach((listener) => listener());
  }

  private look(): Shown {
    const { heat, evenness } = this.playing;
    return {
      holder: this.holder,
      seconds: heat.seconds,
      isPaused: this.isPaused,
      isBegun: this.isBegun,
      isDecided: isDecided(heat),
      torch: this.torch,
      course: [...this.course],
      watch: watchOf(heat),
      aims: aimsOf(heat, evenness),
      flux: poorestFlux(heat),
      hasGhost: this.ghost !== null,
      outcome: this.outcome,
    };
  }
}

/** The careful hand on a heat of its own, in step with a maker's. */
class Ghost {
  private readonly playing: Playing;
  private readonly hand: Hand;
  torch: TorchMoment | null;

  constructor(body: HeatBody) {
    this.playing = new Playing(body);
    this.hand = new Hand(body);
    // where it will begin is shown before it does
    this.torch = this.hand.next(this.playing.heat, 0);
  }

  step(): void {
    const { playing } = this;
    if (playing.isOver) {
      this.torch = null;
      return;
    }
    if (playing.ms % LOOKS === 0) {
      this.torch = this.hand.next(playing.heat, playing.ms);
      playing.heat.setTorch(this.torch);
    }
    playing.step();
  }
}

function grained(mm: number): number {
  return Math.round(mm * GRAINS) / GRAINS;
}
