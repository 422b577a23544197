import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { finger } from "@/cli/finger";
import { bestFingers } from "../bench/published/model";
import { noteXml, scoreXml, spelled } from "../tests/support/musicxml";
import { QUALITY_RULER_SPAN, QUALITY_TEMPO, type QualityCase } from "./cases";

export interface Agreement {
  readonly name: string;
  readonly ours: string;
  readonly nearest: string;
  readonly agreed: number;
  readonly graded: number;
}

/** How far what the public command line answers agrees with the accepted fingerings that agree best, case by case. */
export function agreements(cases: readonly QualityCase[]): readonly Agreement[] {
  const answers = fingersByCommand(cases);
  return cases.map((given, i) => agreement(given, answers[i]!));
}

/** Fingers for each case, low key first, as any program that finds them would be graded. */
function agreement(given: QualityCase, ours: readonly number[]): Agreement {
  let [nearest, agreed] = [given.accepted[0]!, -1];
  for (const accepted of given.accepted) {
    const count = given.graded.filter((i) => accepted[i] === ours[i]).length;
    if (count > agreed) [nearest, agreed] = [accepted, count];
  }
  return { name: given.name, ours: ours.join(""), nearest: nearest.join(""), agreed, graded: given.graded.length };
}

/** The same of the published model, the yardstick: as it was published, or with its rules weighed as ours are. */
export function byPublishedModel(given: QualityCase, calibrated = false): Agreement {
  return agreement(given, bestFingers(given.keys, given.side, calibrated ? PUBLISHED_WEIGHTS : null));
}

const PUBLISHED_WEIGHTS = JSON.parse(
  readFileSync(join(process.cwd(), "quality", "published-weights.json"), "utf8"),
) as readonly number[];

interface Answered {
  readonly options: readonly { readonly fingering: readonly { readonly finger: number | null }[] }[];
}

/** Writes every case as a file and has the command finger them all. */
function fingersByCommand(cases: readonly QualityCase[]): readonly (readonly number[])[] {
  const folder = mkdtempSync(join(tmpdir(), "quality-"));
  const answers: (readonly number[])[] = [];
  const read = (line: string): void => {
    const { options } = JSON.parse(line) as Answered;
    answers.push(options[0]!.fingering.map((entry) => entry.finger ?? 0));
  };
  try {
    for (const [i, given] of cases.entries()) {
      const path = join(folder, `${i}.musicxml`);
      writeFileSync(path, scoreXml([given.keys.map((key) => noteXml(spelled(key), { length: 3 })).join("")]));
      const span = String(QUALITY_RULER_SPAN);
      const wishes = [
        "--hand",
        given.side,
        "--span-right",
        span,
        "--span-left",
        span,
        "--tempo",
        String(QUALITY_TEMPO),
      ];
      finger([path, ...wishes, "--json"], read);
    }
  } finally {
    rmSync(folder, { recursive: true });
  }
  return answers;
}

export interface Summary {
  readonly notes: number;
  readonly graded: number;
  readonly whole: number;
  readonly cases: number;
}

export function summary(all: readonly Agreement[]): Summary {
  return {
    notes: all.reduce((sum, a) => sum + a.agreed, 0),
    graded: all.reduce((sum, a) => sum + a.graded, 0),
    whole: all.filter((a) => a.agreed === a.graded).length,
    cases: all.length,
  };
}
