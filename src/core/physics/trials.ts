/** How a take is read: what a reading of it costs, in faults, so that the one with the fewest is found. All choices. */
export const READING = {
  /** A key struck that nothing asks for; a little more than a note missed, so that a key is read as a note where it can be. */
  extra: 1.15,
  /** A key that belongs to an ornament whose sign stands there: hardly anything, so that a note is read as that where it can be. */
  ornament: 0.02,
  /** A note that comes when the next onset has begun already: as much as a key that nothing asks for, but the note is not missed. */
  late: 1.15,
  /** A note that is not played though the music goes past it. */
  missed: 1,
  /** A key struck in place of another: of itself, and for each semitone between them; farther off it is one missed and one extra. */
  wrong: 1.1,
  wrongPerSemitone: 0.1,
  wrongMost: 9,
  /** Going on at another place: at once, and after the hands have paused. */
  jump: 3,
  jumpAfterPause: 2,
  pauseMs: 600,
  /** For a time between onsets that is longer or shorter than the tempo has it, by the natural logarithm of their ratio beyond what is free. */
  time: 0.5,
  timeMost: 0.6,
  /** What is free while the player's tempo is not known yet, and when it is. */
  timeFree: 0.9,
  timeFreeKnown: 0.3,
  /** For each 100 ms by which a note of a chord comes after its first, beyond what is free. */
  spread: 0.2,
  /** ms within which notes of a chord count as struck together. A choice. */
  spreadFreeMs: 30,
  spreadMost: 0.4,
  /** Onsets to either side that the player's tempo at a place is the middle one of. */
  tempoAbout: 8,
} as const;

/** What the faults of a take are called. Semitones and ms are as teachers count them, choices all. */
export const FAULT = {
  /** A neighbour caught: so many semitones beside an expected or held key, within so many ms of it. */
  neighbourSemitones: 2,
  neighbourMs: 60,
  /** The same key again within so many ms is struck twice. */
  twiceMs: 250,
} as const;

/** How the simulated piano plays. All choices: it stands in for a player, it measures none. */
export const SIMULATED = {
  /** ms by which an onset strays, and each note of a chord; one standard deviation. */
  stray: 7,
  strayInChord: 5,
  /** Share by which the tempo drifts, and the onsets over which it comes back. */
  drift: 0.015,
  driftOnsets: 24,
  /** ms by which a join comes late for each point of its strain. */
  latePerStrain: 0.25,
  /** Faults in 100 onsets at ease, and for each point of strain beyond 20, squared and in hundreds. */
  faultsAtEase: 0.4,
  faultsPerStrain: 25,
  /** Times as many at the end of the passage as at its beginning. */
  fatigue: 1.6,
  /** Points of mean strain about which the hand hardens, how sharply, and how many times as many faults it then makes. */
  hardensAt: 22,
  hardensOver: 3,
  hardened: 3,
  /** Shares of the kinds of fault. */
  kinds: { neighbour: 0.35, wrong: 0.25, missed: 0.25, twice: 0.15 },
  /** Velocity in the middle, and what loudness, a weak finger and the tune make of it. */
  velocity: 64,
  perLoad: 60,
  weakFinger: 9,
  tune: 8,
  velocityStray: 4,
  /** ms that a bound note sounds on into the next. */
  overlap: 20,
  overlapStray: 12,
} as const;

/** How a take is heard. All choices. */
export const HEARD = {
  /** Onsets to either side that the tempo about an onset is read from, and the fewest. */
  about: 6,
  leastAbout: 3,
  /** The music stands still where an onset takes so many times as long as asked, and so many ms more. */
  pauseTimes: 1.6,
  pauseMs: 250,
  /** Fewest onsets of a group for its evenness. */
  leastInGroup: 3,
  /** ms beyond its length from which a finger is held too long, and the fewest notes for a figure of fingers. */
  heldLong: 120,
  leastOfFinger: 3,
} as const;

/** What a clean take is, unless the player says otherwise: no more than so many faults, in notes and in ms. Choices. */
export const CLEAN = {
  /** Missed, wrong, added, struck twice and neighbours caught, together. */
  faults: 0,
  /** ms: evenness within groups, and the latest join. */
  evenness: 25,
  latest: 60,
  /** Share of the tempo meant that must be reached. */
  tempo: 0.95,
  /** Runs: to begin again is not clean. */
  runs: 1,
} as const;

/** Fewest and most onsets of a snip. Choices. */
export const SNIP = { least: 2, most: 10 } as const;

/** Between what a player may set the rule of a clean take. Choices. */
export const CLEAN_RANGES = {
  faults: [0, 20],
  evenness: [5, 200],
  latest: [10, 500],
  tempo: [0.5, 1],
  runs: [1, 10],
} as const;

/** The tempo at which a fingering breaks. All choices but the priors' form. */
export const BREAKING = {
  leastTakes: 8,
  /** Standard deviation of the logarithm of the tempi that were tried, and slope, from which on there is something to tell. */
  leastSpread: 0.01,
  leastSlope: 0.3,
  /** Standard deviations of the priors of the curve's place and of its slope, the tempi being scaled to half a unit. */
  priors: [10, 2.5],
  mostSteps: 60,
  /** Takes slower than this share of it that are nearly all clean say that the trouble only appears above a speed. */
  wellBelow: 0.9,
  leastSlow: 3,
  cleanBelow: 0.8,
} as const;

/** When it is said that nothing improves. Choices. */
export const PROGRESS = {
  /** Days from the first take to the last, and days with takes among them. */
  days: 14,
  practiceDays: 5,
  /** Days whose takes tell a day's breaking tempo together. */
  daysTogether: 3,
} as const;

/** Where prediction and playing part: by how much of all onsets, and how many places are told. Choices. */
export const PARTING = { least: 0.5, most: 5 } as const;

/** Bars ahead of a fault in which tension is looked for, and the correlation from which it is told. Choices. */
export const LAG = { most: 3, least: 0.5 } as const;

/** The check of the delay: clicks that are sounded, their tempo, and the fewest strokes that tell anything. Choices. */
export const DELAY = { clicks: 12, tempo: 60, least: 5 } as const;

/**
 * A player's own figures from their takes. A cause weighs as many times as usual as faults come where it strains, against what
 * is predicted there: both with so many faults added, to the power, within the range; a change of less is left, and one by fewer standard deviations of counts. The hand's way
 * takes as many times as long as usual as the quicker ways of so many in a hundred did. All choices.
 */
export const OWN = {
  leastTakes: 20,
  faultsAdded: 4,
  power: 0.5,
  causeRange: [0.5, 2],
  stepRange: [0.75, 1.33],
  leastChange: 0.05,
  beyondChance: 2,
  leastWays: 24,
  quickest: 0.25,
  leastMm: 40,
  movementRange: [0.5, 2],
} as const;

/**
 * The clip that the program draws itself, in px, frames a second and mm: its picture, the margin about what is seen, how much
 * narrower it is at the back and how much askew, and how far before and behind the white fronts it sees. Choices.
 */
export const FILM = {
  width: 860,
  height: 420,
  margin: 18,
  tilt: 0.09,
  askew: 0.05,
  front: -125,
  back: 160,
  framesASecond: 25,
} as const;

/** A day's limit: the share of it that is left once the player has stopped for a sign of harm, and what they may set, in minutes. Choices. */
export const DAY_LIMIT = { afterStop: 0.5, range: [1, 600] } as const;
