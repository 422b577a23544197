import type { Toolkit } from "./engrave";

/** Starts the engraver, which takes seconds. Its code is loaded only where it is started. */
async function startEngraver(): Promise<Toolkit> {
  const [{ VerovioToolkit, enableLog, LOG_OFF }, { default: createModule }] = await Promise.all([
    import("verovio/esm"),
    import("verovio/wasm"),
  ]);
  const code = await createModule();
  // What is wrong with a file is said in our own words where it is read.
  enableLog(LOG_OFF, code);
  return new VerovioToolkit(code);
}

/** An engraver that is started once, when it is first asked for; again where it did not start. */
export function onceStarted(start: () => Promise<Toolkit> = startEngraver): () => Promise<Toolkit> {
  let started: Promise<Toolkit> | null = null;
  return () => {
    started ??= start();
    started.catch(() => (started = null));
    return started;
  };
}
