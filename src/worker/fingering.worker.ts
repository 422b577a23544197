import { expose } from "comlink";
import { breathe } from "./breathe";
import { fingeringService } from "./fingering-service";

expose(fingeringService(breathe, () => performance.now()));
