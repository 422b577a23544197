import type { OnsetExpected } from "@/core/trials/expected";
import type { KeyStruck, PedalMoved, Take } from "@/core/trials/take";
import type { KeyMove, PedalMove } from "../piano/piano-input";

/** ms of silence after which a take is over, and after its last note. */
const SILENCE = 2000;
const AFTER_LAST = 250;
/** Share of the passage's keys that must have been struck for its last note to be the end. */
const MOSTLY = 0.6;

/** Keeps what is played as it comes, by the device's own clock, and knows when it is over. */
export class Recorder {
  private readonly keys: { -readonly [K in keyof KeyStruck]: KeyStruck[K] }[] = [];
  private readonly pedal: PedalMoved[] = [];
  private readonly down = new Map<number, number>();
  /** When something last moved, by the page's clock. */
  private movedAt: number | null = null;

  constructor(private readonly onsets: readonly OnsetExpected[]) {}

  /** How many keys have gone down. */
  get count(): number {
    return this.keys.length;
  }

  /** @param now by the page's clock */
  move({ key, down, ms, velocity }: KeyMove, now: number): void {
    this.movedAt = now;
    const at = this.down.get(key);
    if (at !== undefined) this.keys[at]!.upMs = ms;
    this.down.delete(key);
    if (down) this.down.set(key, this.keys.push({ key, downMs: ms, upMs: null, velocity }) - 1);
  }

  press({ ms, value }: PedalMove): void {
    this.pedal.push({ ms, value });
  }

  /** Whether the last note has been played and let go, or nothing has been heard for two seconds. */
  isOver(now: number): boolean {
    if (this.movedAt === null || this.down.size > 0) return false;
    const quiet = now - this.movedAt;
    return quiet >= SILENCE || (quiet >= AFTER_LAST && this.isThrough());
  }

  private isThrough(): boolean {
    const last = this.onsets.at(-1)?.notes.map(({ key }) => key) ?? [];
    const all = this.onsets.reduce((sum, { notes }) => sum + notes.length, 0);
    const ending = new Set<number>(this.keys.slice(-2 * last.length).map(({ key }) => key));
    return this.keys.length >= MOSTLY * all && last.some((key) => ending.has(key));
  }

  /** What was played so far, its times from the first key or pedal on. */
  take(): Pick<Take, "keys" | "pedal"> {
    const first = Math.min(...this.keys.map(({ downMs }) => downMs), ...this.pedal.map(({ ms }) => ms));
    const from = Number.isFinite(first) ? first : 0;
    return {
      keys: this.keys.map((one) => ({
        ...one,
        downMs: one.downMs - from,
        upMs: one.upMs === null ? null : one.upMs - from,
      })),
      pedal: this.pedal.map(({ ms, value }) => ({ ms: ms - from, value })),
    };
  }
}
