import { expose } from "comlink";
import { breathe } from "./breathe";
import { surveyService } from "./survey-service";

expose(surveyService(breathe, () => performance.now()));
