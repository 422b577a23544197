import { positionsOf } from "../../fingering/explain/positions";
import type { Fingering } from "../../fingering/study/fingering";
import { judge, type Study } from "../../fingering/study/study";
import { isOnKeyboard } from "../../keyboard/pitch";
import type { NoteId } from "../../passage/note";
import { PLAYING, SIMULATED } from "../../physics";
import { expectedOf, type NoteExpected, type OnsetExpected } from "../expected";
import { onsetsIn, type Snip } from "../snip";
import { leavingOf } from "./leaving";
import type { KeyStruck, Take } from "../take";
import { seeded, type Seeded } from "./seeded";

/** What the simulated piano knows of each key that it struck. */
interface KeyTruth {
  /** The note it was to be; null for a key that nothing asks for. */
  readonly note: NoteId | null;
  readonly fault: FaultKind | null;
}

const FAULT_KINDS = ["neighbour", "wrong", "missed", "twice"] as const;
type FaultKind = (typeof FAULT_KINDS)[number];

export interface Simulated {
  readonly take: Take;
  /** In the order of the keys of the take. */
  readonly truth: readonly KeyTruth[];
  readonly missed: readonly NoteId[];
}

/** How it is to play. */
export interface SimulatedManner {
  readonly seed: number;
  /** Quarter notes a minute; the tempo of the study where not said. */
  readonly tempo?: number;
  /** Faults in 100 onsets, whatever the strain; by the strain where not said. */
  readonly faults?: number;
  /** Share of the passage before which none of those faults comes; 0 where not said. */
  readonly faultsFrom?: number;
  /** Whether it begins again a few onsets back when it has slipped, for some slips. */
  readonly turnsBack?: boolean;
  /** What of the passage it is to play; the whole where not said. */
  readonly snip?: Snip | null;
}

/**
 * Plays a passage with a fingering as these hands would: what they strain decides where they slip, where they come late and
 * which notes are soft. The same seed plays the same. It knows what it did.
 *
 * Where the hand must be carried it lets go in time for its way, and no key is held over it. Joins come late by their strain; faults come with the strain of the onset, more of them towards the end and where the whole
 * strains so much that the hand hardens. See SIMULATED.
 */
export function playSimulated(study: Study, fingering: Fingering, manner: SimulatedManner): Simulated {
  const tempo = manner.tempo ?? study.manner.tempo;
  const at: Study = { ...study, manner: { ...study.manner, tempo } };
  const player = new Player(at, fingering, manner, seeded(manner.seed));
  return player.play(tempo);
}

type Struck = KeyStruck & { readonly truth: KeyTruth };

class Player {
  private readonly onsets: readonly OnsetExpected[];
  private readonly strain: Readonly<Record<NoteId, number>>;
  private readonly mean: number;
  private readonly joins: ReadonlySet<NoteId>;
  private readonly leaving: ReadonlyMap<NoteId, number>;
  private readonly struck: Struck[] = [];
  private readonly missed: NoteId[] = [];

  constructor(
    private readonly study: Study,
    private readonly fingering: Fingering,
    private readonly manner: SimulatedManner,
    private readonly random: Seeded,
  ) {
    this.onsets = onsetsIn(expectedOf(study), manner.snip ?? null);
    const judged = judge(study, fingering);
    this.strain = Object.fromEntries(Object.entries(judged.notes).map(([id, { strain }]) => [id, strain]));
    this.mean = judged.strain;
    this.leaving = leavingOf(study, fingering);
    this.joins = new Set(positionsOf(study, fingering).flatMap(({ join, notes }) => (join ? notes.slice(0, 1) : [])));
  }

  play(tempo: number): Simulated {
    let ms = 500;
    let drift = 0;
    for (let i = 0, turned = false; i < this.onsets.length; i++) {
      const slipped = this.strike(this.onsets[i]!, ms, tempo);
      const next = this.onsets[i + 1];
      drift += this.random.about(-drift / SIMULATED.driftOnsets, SIMULATED.drift / Math.sqrt(SIMULATED.driftOnsets));
      if (next) ms += ((next.at - this.onsets[i]!.at) * 60_000 * (1 + drift)) / tempo;
      if (slipped && this.manner.turnsBack && !turned && i >= 6 && this.random.chance(0.3)) {
        ms += 900;
        i -= this.random.whole(4, 6);
        turned = true;
      }
    }
    const inTime = [...this.struck].sort((a, b) => a.downMs - b.downMs || a.key - b.key);
    const { hands } = this.study.passage;
    return {
      take: {
        keys: inTime.map(({ key, downMs, upMs, velocity }) => ({ key, downMs, upMs, velocity })),
        pedal: [],
        source: "simulated piano",
        tempo,
        click: false,
        hands,
        snip: this.manner.snip ?? null,
      },
      truth: inTime.map(({ truth }) => truth),
      missed: this.missed,
    };
  }

  /** @returns whether it slipped */
  private strike(onset: OnsetExpected, ms: number, tempo: number): boolean {
    const { random } = this;
    const strain = Math.max(...onset.notes.map(({ id }) => this.strain[id] ?? 0));
    const isJoin = onset.notes.some(({ notes }) => notes.some((id) => this.joins.has(id)));
    const late = isJoin ? SIMULATED.latePerStrain * strain : 0;
    const at = random.about(ms + late, SIMULATED.stray);
    const slips = random.chance(this.faultsAt(onset, strain) / 100);
    const kind = slips ? this.kindOfFault() : null;
    const slipping = random.pick(onset.notes);
    for (const note of onset.notes) this.strikeNote(note, at, tempo, note === slipping ? kind : null);
    return slips;
  }

  private strikeNote(note: NoteExpected, at: number, tempo: number, fault: FaultKind | null): void {
    if (fault === "missed") {
      this.missed.push(note.id);
      return;
    }
    const { random } = this;
    const downMs = Math.max(0, random.about(at, SIMULATED.strayInChord));
    const beside = note.key + random.pick([-2, -1, 1, 2]);
    const key = fault === "wrong" && isOnKeyboard(beside) ? beside : note.key;
    const sounds = (note.length * 60_000) / tempo + random.about(SIMULATED.overlap, SIMULATED.overlapStray);
    const most = (this.leaving.get(note.id) ?? Infinity) + random.about(0, SIMULATED.overlapStray);
    const one = { downMs, upMs: downMs + Math.max(40, Math.min(sounds, most)), velocity: this.velocityOf(note) };
    this.struck.push({ ...one, key, truth: { note: note.id, fault: fault === "wrong" ? fault : null } });
    const surplus = { velocity: 30, truth: { note: null, fault } } as const;
    if (fault === "neighbour" && isOnKeyboard(beside)) {
      const with_ = downMs + random.about(0, 15);
      this.struck.push({ ...surplus, key: beside, downMs: Math.max(0, with_), upMs: with_ + 90 });
    } else if (fault === "twice")
      this.struck.push({ ...surplus, key: note.key, downMs: downMs + 80, upMs: downMs + 150 });
  }

  private faultsAt({ index }: OnsetExpected, strain: number): number {
    const gone = index / Math.max(1, this.onsets.length - 1);
    const { faults: asked, faultsFrom = 0 } = this.manner;
    if (asked !== undefined) return gone < faultsFrom ? 0 : asked;
    const tired = 1 + (SIMULATED.fatigue - 1) * gone;
    const hard = 1 / (1 + Math.exp((SIMULATED.hardensAt - this.mean) / SIMULATED.hardensOver));
    const beyond = Math.max(0, strain - 20) / 100;
    const faults = SIMULATED.faultsAtEase + SIMULATED.faultsPerStrain * beyond * beyond;
    return Math.min(90, faults * tired * (1 + (SIMULATED.hardened - 1) * hard));
  }

  private kindOfFault(): FaultKind {
    let left = this.random.next();
    for (const kind of FAULT_KINDS) {
      left -= SIMULATED.kinds[kind];
      if (left < 0) return kind;
    }
    return "missed";
  }

  private velocityOf({ id, load, tune }: NoteExpected): number {
    const finger = this.fingering[id] ?? 0;
    const weak = finger >= 4 ? SIMULATED.weakFinger : 0;
    const wanted =
      SIMULATED.velocity + SIMULATED.perLoad * (load - PLAYING.middling) - weak + (tune ? SIMULATED.tune : 0);
    return Math.min(127, Math.max(1, Math.round(this.random.about(wanted, SIMULATED.velocityStray))));
  }
}
