import { isOnKeyboard, type Pitch } from "@/core/keyboard/pitch";
import type { NoteId } from "@/core/passage/note";
import { add, later, ZERO } from "@/core/time/beats";
import { remark } from "../../issue";
import { child, childrenOf, textOf, type Element } from "../../xml/tree";
import type { NoteHead } from "../score";
import { durationOf, shown, type Growing, type Running } from "./growing";
import { LIMITS } from "./limits";
import { wholeIn } from "./numbers";
import { ornamentsOf, rollOf } from "./ornaments";
import { characterOf } from "./read-character";
import { NO_TRANSPOSITION, type Transposition } from "./transposition";

const STEPS: ReadonlyMap<string, number> = new Map([
  ["C", 0],
  ["D", 2],
  ["E", 4],
  ["F", 5],
  ["G", 7],
  ["A", 9],
  ["B", 11],
]);
const LETTERS = [...STEPS.keys()];

/** Reads one note, rest or cue into the bar; a sentence where it has no proper duration. */
export function readNote(element: Element, bar: Growing, running: Running): string | null {
  const grace = child(element, "grace") !== null;
  const duration = grace ? ZERO : durationOf(element, bar, running);
  if (duration === null) return "A note has no proper duration.";
  const chord = child(element, "chord") !== null;
  const at = chord ? bar.last : bar.at;
  if (!chord) {
    bar.last = bar.at;
    bar.stem++;
    bar.at = add(bar.at, duration);
    bar.furthest = later(bar.furthest, bar.at);
  }
  // Cue notes are another player's: they take their time and are not played.
  if (child(element, "rest") || child(element, "cue")) return null;
  const staff = staffOf(element, bar);
  const pitch = pitchOf(element, bar, running.transpositions.get(staff) ?? running.transpositions.get(0));
  const voice = (textOf(element, "voice") ?? "1").replace(/[^A-Za-z0-9]/g, "").slice(0, 12) || "1";
  const order = (bar.orders.get(`${staff} ${voice}`) ?? 0) + 1;
  bar.orders.set(`${staff} ${voice}`, order);
  if (pitch === null) return null;
  remarkOnOrnaments(element, bar);
  const ties = tiesOf(element);
  bar.heads.push({
    id: `b${bar.index}-s${staff}-v${voice}-n${order}` as NoteId,
    ...pitch,
    staff,
    home: staff,
    voice,
    stem: bar.stem,
    onset: add(bar.start, at),
    duration,
    grace: grace ? -1 : 0,
    tieStart: ties.includes("start"),
    tieStop: ties.includes("stop"),
    printed: printedDigit(element),
    ...(grace ? {} : rolledAs(element)),
    ...characterOf(element, running.loudness.get(staff) ?? running.loudness.get(0)),
    element,
  });
  return null;
}

/** How a note is rolled, where it is. */
function rolledAs(element: Element): Pick<NoteHead, "roll"> {
  const roll = rollOf(element);
  return roll ? { roll } : {};
}

function staffOf(element: Element, bar: Growing): number {
  const said = textOf(element, "staff");
  if (said === null) return 1;
  const staff = wholeIn(said, LIMITS.staves);
  if (staff === null)
    bar.issues.push(remark("bad-staff", `“${shown(said)}” is no staff; the note is taken as on the first.`, bar.place));
  return staff ?? 1;
}

/** What a note's sign asks beyond its own key is left to the player, who should know. */
function remarkOnOrnaments(element: Element, bar: Growing): void {
  for (const name of ornamentsOf(element))
    bar.issues.push(
      remark(
        `ornament-${name}`,
        `A ${name} is fingered on its written note alone; its other notes are yours to choose.`,
        bar.place,
      ),
    );
}

/** The key that sounds, and the step of the scale it is written on. */
function pitchOf(
  element: Element,
  bar: Growing,
  { semitones, steps }: Transposition = NO_TRANSPOSITION,
): { readonly pitch: Pitch; readonly step: number } | null {
  const written = child(element, "pitch");
  if (!written) {
    bar.issues.push(remark("unpitched", "A note without pitch is passed over.", bar.place));
    return null;
  }
  const [step, octave, alter] = [
    textOf(written, "step") ?? "",
    Number(textOf(written, "octave")),
    Number(textOf(written, "alter") ?? 0),
  ];
  const key = (octave + 1) * 12 + (STEPS.get(step) ?? NaN) + Math.round(alter) + semitones;
  if (isOnKeyboard(key)) {
    if (alter !== Math.round(alter))
      bar.issues.push(
        remark("microtone", `${step}${octave} altered by ${alter} is taken as the nearest key.`, bar.place),
      );
    return { pitch: key, step: octave * 7 + LETTERS.indexOf(step) + steps };
  }
  bar.issues.push(
    remark(
      "off-keyboard",
      `${shown(step)}${shown(String(octave))} with alteration ${shown(String(alter))} is not on the keyboard and is passed over.`,
      bar.place,
    ),
  );
  return null;
}

function tiesOf(element: Element): readonly string[] {
  const ties = childrenOf(element, "tie");
  const shownTies = childrenOf(element, "notations").flatMap((n) => childrenOf(n, "tied"));
  return (ties.length > 0 ? ties : shownTies).map((tie) => tie.attributes["type"] ?? "");
}

/** The first digit from 1 to 5 printed with a note. */
function printedDigit(element: Element): number | null {
  for (const notations of childrenOf(element, "notations")) {
    for (const technical of childrenOf(notations, "technical")) {
      for (const { text } of childrenOf(technical, "fingering")) if (/^[1-5]$/.test(text)) return Number(text);
    }
  }
  return null;
}
