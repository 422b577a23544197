import { framesOf } from "../../fingering/cost/price";
import type { Frame } from "../../fingering/frames/frame";
import { digitsOf } from "../../fingering/search/terms";
import type { Fingering } from "../../fingering/study/fingering";
import { tasksOf, type Study } from "../../fingering/study/study";
import type { Side } from "../../hand/finger";
import { openBeyond } from "../../motion/hand/open-pairs";
import { DOSE, PLAYING, RETURNING } from "../../physics";

/** Wide openings by hand, in mm beyond comfort times minutes. */
export type Dose = Readonly<Record<Side, number>>;

export const NO_DOSE: Dose = { right: 0, left: 0 };

/**
 * What a minute of playing a fingered passage over and over costs each hand: at every moment the widest pair that is open
 * beyond comfort, in mm, for as long as both keys are down, weighed by loudness against middling; softer counts for less and
 * louder for more. 0 for a hand that does not play, and for an empty passage.
 */
export function doseAMinute(study: Study, fingering: Fingering): Dose {
  const dose = { ...NO_DOSE } as Record<Side, number>;
  for (const task of tasksOf(study)) {
    const frames = framesOf(task, digitsOf(task.line, fingering));
    let [open, all] = [0, 0];
    frames.forEach((frame, i) => {
      const next = frames[i + 1] ?? null;
      const ms = next ? next.onset.ms - frame.onset.ms : lastMs(frame);
      all += ms;
      const pairs = openBeyond(task, frame);
      const loudest = Math.max(...[...frame.struck, ...frame.held].map(({ stroke }) => stroke.load), 0);
      const weighed = pairs.map(({ presses, mm }) => {
        const ends = Math.min(...presses.map(({ stroke }) => stroke.ms + stroke.soundsMs)) - frame.onset.ms;
        return mm * Math.max(0, Math.min(ends, ms));
      });
      open += Math.max(0, ...weighed) * (loudest / PLAYING.middling);
    });
    if (all > 0) dose[task.line.side] = open / all;
  }
  return dose;
}

/** ms for which a last frame sounds; 0 where that has no end. */
function lastMs({ struck }: Frame): number {
  const sounds = Math.max(0, ...struck.map(({ stroke }) => stroke.soundsMs));
  return Number.isFinite(sounds) ? sounds : 0;
}

/** What so many minutes of practice cost: keys are down for a share of them. */
export function doseOf(aMinute: Dose, minutes: number): Dose {
  return playedFor(aMinute, minutes * DOSE.playing);
}

/** What so many minutes of playing without a pause cost. */
export function playedFor({ right, left }: Dose, minutes: number): Dose {
  return { right: right * minutes, left: left * minutes };
}

/** What a minute of playing costs, from what so many minutes of practice do: the other way round. @param minutes more than 0 */
export function playedAMinute(dose: Dose, minutes: number): Dose {
  const share = minutes * DOSE.playing;
  return { right: dose.right / share, left: dose.left / share };
}

/** Some doses together, each hand apart; nothing for none. */
export function sumOfDoses(doses: readonly Dose[]): Dose {
  return doses.reduce((all, one) => ({ right: all.right + one.right, left: all.left + one.left }), NO_DOSE);
}

/** Whether a passage opens the hand wide enough to keep it out of the first minutes. */
export function isWide({ right, left }: Dose): boolean {
  return Math.max(right, left) >= DOSE.wideFrom;
}

/**
 * The share of a player's own limits that there is so many days after a stop for a sign of harm was lifted: it returns by
 * steps and never goes past the limit itself.
 * @param lifted days since the last stop was lifted, 0 or more; null where there was none
 */
export function shareReturned(lifted: number | null): number {
  if (lifted === null) return 1;
  return RETURNING.findLast(({ days }) => lifted >= days)?.share ?? 0;
}

/** The steps that are still to come, each with how many days from now. */
export function stepsToCome(lifted: number | null): readonly { readonly inDays: number; readonly share: number }[] {
  if (lifted === null) return [];
  return RETURNING.filter(({ days }) => days > lifted).map(({ days, share }) => ({ inDays: days - lifted, share }));
}
