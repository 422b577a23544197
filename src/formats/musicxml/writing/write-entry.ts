import { restsIn, VOICES, writtenVoice, type Entry, type VoiceIndex } from "@/core/entry/entry";
import { keyOf } from "@/core/entry/spelling";
import type { NewNote, NewVoice } from "./new-score";
import { writeScore } from "./write-score";

/** Music entered step by step as MusicXML; a voice that does not fill its bar rests for what is left. */
export function writeEntry(entry: Entry): string {
  const used = VOICES.filter((voice) => isFirst(voice) || entry.bars.some((bar) => bar[voice].length > 0));
  const voices = used.map((voice): NewVoice => {
    const { staff, voice: number } = writtenVoice(voice);
    const isShared = used.some((other) => other !== voice && writtenVoice(other).staff === staff);
    const stem = isShared ? (isFirst(voice) ? "up" : "down") : null;
    const bars = entry.bars.map((bar, index): readonly NewNote[] => {
      const rests = restsIn(entry, { bar: index, voice }).map((length): NewNote => {
        return { pitches: [], length, tied: false, unseen: !isFirst(voice) };
      });
      return [...bar[voice], ...rests];
    });
    return { staff, voice: number, stem, bars, mayEndEarly: true };
  });
  const { title, fifths, time, tempo, words = "" } = entry;
  return writeScore({ title, fifths, time, tempo, words, leftClef: leftClefOf(entry), voices });
}

function isFirst(voice: VoiceIndex): boolean {
  return voice % 2 === 0;
}

/** Middle C: a left hand that stays above it is written in the treble clef. */
const MIDDLE = 60;

function leftClefOf({ bars }: Entry): "F" | "G" {
  const keys = bars.flatMap((bar) => [...bar[2], ...bar[3]]).flatMap((item) => item.pitches.map(keyOf));
  return keys.length > 0 && Math.min(...keys) >= MIDDLE ? "G" : "F";
}
