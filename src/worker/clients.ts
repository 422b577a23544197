import type { StudyData } from "@/core/fingering/study/study-data";
import type { Engraver } from "./engraver";
import type { FingeringService } from "./fingering-service";
import { houseOf, wrapped, type House } from "./house";
import type { SurveyService } from "./survey-service";

/** One worker of each kind a page, started when first asked for, kept, and started again when it dies. */
const started: { engraver?: House<Engraver>; fingering?: House<FingeringService>; survey?: House<SurveyService> } = {};

/** The study that was opened last: a worker that is started again goes on with it. */
let atHand: StudyData | null = null;

const listeners = new Set<() => void>();

/** Told when a worker has died and another goes on. @returns ends it */
export function onWorkerDeath(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function tell(): void {
  for (const listener of listeners) listener();
}

const nothing = (): Promise<void> => Promise.resolve();

export function engraver(): House<Engraver>["service"] {
  return (started.engraver ??= houseOf<Engraver>(
    () => wrapped(new Worker(new URL("./engraver.worker.ts", import.meta.url), { type: "module" })),
    nothing,
    tell,
  )).service;
}

export function fingeringWorker(): House<FingeringService>["service"] {
  return (started.fingering ??= houseOf<FingeringService>(
    () => wrapped(new Worker(new URL("./fingering.worker.ts", import.meta.url), { type: "module" })),
    (remote) => (atHand ? remote.open(atHand) : nothing()),
    tell,
  )).service;
}

/** Turns to a study, in this worker and in one that takes its place. */
export function openStudy(study: StudyData): void {
  atHand = study;
  void fingeringWorker().open(study);
}

export function surveyWorker(): House<SurveyService>["service"] {
  return (started.survey ??= houseOf<SurveyService>(
    () => wrapped(new Worker(new URL("./survey.worker.ts", import.meta.url), { type: "module" })),
    nothing,
    tell,
  )).service;
}
