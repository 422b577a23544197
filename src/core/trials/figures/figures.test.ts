import { note, passage } from "../../../../tests/support/passages";
import { fingered, studyOfKeys, studyOn } from "../../../../tests/support/studies";
import type { Study } from "../../fingering/study/study";
import { pitch } from "../../keyboard/pitch";
import type { NoteId } from "../../passage/note";
import { cleanMeasures, uncleanWhy, USUAL_RULE } from "../clean";
import { expectedOf } from "../expected";
import { heardOf } from "../heard";
import type { KeyStruck, Take } from "../take";
import { figuresOf } from "./index";

const SCALE = [60, 62, 64, 65, 67, 69, 71, 72, 74, 76, 77, 79, 81, 83, 84];
const DIGITS = "123123412312345";
const study = studyOfKeys(SCALE, "right", { tempo: 96 });

/** Played as written, each key as a change of it has it. */
function take(of: Study, change: (key: KeyStruck, i: number) => KeyStruck | null = (key) => key, tempo = 96): Take {
  const quarter = 60_000 / tempo;
  const keys = expectedOf(of).flatMap(({ at, notes }) =>
    notes.map(({ key, length }) => ({ key, downMs: at * quarter, upMs: (at + length) * quarter + 15, velocity: 60 })),
  );
  const changed = keys.flatMap((key, i) => change(key, i) ?? []);
  return {
    keys: changed,
    pedal: [],
    source: "midi piano",
    tempo: 96,
    click: false,
    hands: of.passage.hands,
    snip: null,
  };
}

const figures = (of: Study, digits: string, played: Take, free?: ReadonlySet<NoteId>) =>
  figuresOf(heardOf(of, fingered(of, digits), played, free));
const ofScale = (change?: Parameters<typeof take>[1], tempo?: number) =>
  figures(study, DIGITS, take(study, change, tempo));

describe("figures of a take", () => {
  it("of one played as written find nothing amiss", () => {
    const found = ofScale();
    for (const id of ["missed", "wrong", "added", "twice", "neighbours", "held-long"])
      expect(found[id]!.amount).toBe(0);
    expect(found["tempo"]!.amount).toBeCloseTo(96, 6);
    expect(found["evenness"]!.amount).toBeCloseTo(0, 6);
    expect(found["lateness"]!.amount).toBeCloseTo(0, 6);
    expect(found["overlap"]!.amount).toBeCloseTo(15, 6);
    const heard = heardOf(study, fingered(study, DIGITS), take(study));
    expect(uncleanWhy(cleanMeasures(heard, found))).toEqual([]);
  });

  it("take a slow change of tempo out of evenness and lateness, and tell the tempo bar by bar", () => {
    const slowing = ofScale((key) => ({ ...key, downMs: key.downMs * (1 + key.downMs / 40_000) }));
    expect(slowing["evenness"]!.amount).toBeLessThan(2);
    expect(Math.abs(slowing["lateness"]!.amount)).toBeLessThan(3);
    const uneven = ofScale((key, i) => ({ ...key, downMs: key.downMs + (i % 2) * 20 }));
    expect(uneven["evenness"]!.amount).toBeGreaterThan(15);
    expect(Object.keys(uneven["tempo"]!.parts!).length).toBeGreaterThan(0);
  });

  it("count no freedom from group to group, nor where the player says that time is free", () => {
    const held = ofScale((key, i) => ({ ...key, downMs: key.downMs + (i >= 8 ? 90 : 0) }));
    expect(held["evenness"]!.amount).toBeLessThan(1);
    const uneven = take(study, (key, i) => ({ ...key, downMs: key.downMs + (i % 2) * 20 }));
    const all = new Set(expectedOf(study).map(({ notes }) => notes[0]!.id));
    expect(figures(study, DIGITS, uneven, all)["evenness"]).toBeUndefined();
  });

  it("find the join that comes late, in ms, against the notes inside positions", () => {
    const late = ofScale((key, i) => ({ ...key, downMs: key.downMs + (i === 7 ? 50 : 0) }));
    const worst = late["lateness"]!.places.reduce((a, b) => (b.amount > a.amount ? b : a));
    expect(worst.note).toBe(expectedOf(study)[7]!.notes[0]!.id);
    expect(worst.amount).toBeGreaterThan(40);
    expect(late["lateness"]!.amount).toBeGreaterThan(10);
  });

  it("count what went astray by its kind, and name where", () => {
    const found = ofScale((key, i) => (i === 4 ? null : i === 9 ? { ...key, key: pitch(75) } : key));
    expect(found["missed"]).toMatchObject({ amount: 1, places: [{ note: expectedOf(study)[4]!.notes[0]!.id }] });
    expect(found["wrong"]).toMatchObject({ amount: 1, places: [{ note: expectedOf(study)[9]!.notes[0]!.id }] });
  });

  it("measure the spread of chords, and gaps of bound notes as less than nothing", () => {
    const chords = studyOfKeys([
      [60, 64, 67],
      [60, 65, 69],
      [59, 62, 67],
    ]);
    const spread = take(chords, (key, i) => ({ ...key, downMs: key.downMs + (i % 3) * 12 }));
    expect(figures(chords, "135125125", spread)["chord-spread"]!.amount).toBeCloseTo(24, 6);
    expect(ofScale((key) => ({ ...key, upMs: key.upMs! - 40 }))["overlap"]!.amount).toBeCloseTo(-25, 6);
  });

  it("name the finger that forgets to let go, and the weak one", () => {
    const held = ofScale((key, i) => (i === 3 ? { ...key, upMs: key.upMs! + 400 } : key));
    expect(held["held-long"]!.parts).toEqual({ 1: expect.closeTo(415, 6) as number });
    const weak = ofScale((key, i) => ({ ...key, velocity: DIGITS[i] === "3" ? 40 : 60 }));
    expect(weak["strength"]!.amount).toBeCloseTo(20, 6);
    expect(weak["strength"]!.parts!["right 3"]).toBeCloseTo(40, 6);
  });

  it("weigh the tune against what sounds with it", () => {
    const two = {
      ...passage(
        [0, 1, 2, 3].flatMap((i) => [note(`t${i}`, 76 + i, String(i), "1"), note(`u${i}`, 60 + i, String(i), "1")]),
      ),
      tune: { top: true } as const,
    };
    const voiced = studyOn(two);
    const louder = take(voiced, (key) => ({ ...key, velocity: key.key >= 76 ? 80 : 50 }));
    expect(figures(voiced, "51515151", louder)["voicing"]!.amount).toBeCloseTo(30, 6);
  });

  it("keep leaps of both hands apart from all other joins", () => {
    const one = (id: string, key: number, at: number, staff: number) => note(id, key, String(at), "1", { staff });
    const notes = [0, 1, 2, 3, 4, 5].flatMap((at) => [
      one(`r${at}`, at < 3 ? 67 : 91, at, 1),
      one(`l${at}`, at < 3 ? 55 : 31, at, 2),
    ]);
    const both = studyOn(passage(notes, "both", 2), { tempo: 100 });
    const digits = Object.fromEntries(notes.map(({ id }) => [id, 1])) as never;
    const late = take(both, (key) => ({
      ...key,
      downMs: key.downMs + (key.downMs > 1874 && key.downMs < 1876 ? 80 : 0),
    }));
    const found = figuresOf(heardOf(both, digits, late));
    expect(found["together"]!.places).toHaveLength(1);
    expect(found["together"]!.amount).toBeGreaterThan(50);
  });
});

describe("a clean take", () => {
  it("keeps to the rule, and says why where it does not; the player may set the rule", () => {
    const slow = take(study, undefined, 80);
    const heard = heardOf(study, fingered(study, DIGITS), slow);
    const why = (rule = USUAL_RULE) => uncleanWhy(cleanMeasures(heard, figuresOf(heard)), rule);
    expect(why()).toEqual(["It went at 80, not at 96."]);
    expect(why({ ...USUAL_RULE, tempo: 0.8 })).toEqual([]);
    const broken = heardOf(
      study,
      fingered(study, DIGITS),
      take(study, (key, i) => (i > 9 ? null : key)),
    );
    expect(uncleanWhy(cleanMeasures(broken, figuresOf(broken)))[0]).toBe("It broke off before the end.");
  });
});
