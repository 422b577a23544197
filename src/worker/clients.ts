import { wrap, type Remote } from "comlink";
import type { Engraver } from "./engraver";
import type { FingeringService } from "./fingering-service";
import type { SurveyService } from "./survey-service";

/** One worker of each kind a page, started when first asked for and kept. */
const started: { engraver?: Remote<Engraver>; fingering?: Remote<FingeringService>; survey?: Remote<SurveyService> } =
  {};

export function engraver(): Remote<Engraver> {
  return (started.engraver ??= wrap<Engraver>(
    new Worker(new URL("./engraver.worker.ts", import.meta.url), { type: "module" }),
  ));
}

export function fingeringWorker(): Remote<FingeringService> {
  return (started.fingering ??= wrap<FingeringService>(
    new Worker(new URL("./fingering.worker.ts", import.meta.url), { type: "module" }),
  ));
}

export function surveyWorker(): Remote<SurveyService> {
  return (started.survey ??= wrap<SurveyService>(
    new Worker(new URL("./survey.worker.ts", import.meta.url), { type: "module" }),
  ));
}
