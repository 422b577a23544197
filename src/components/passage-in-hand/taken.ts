import type { OptionData, PassageData } from "@/server/types";

/** The option that is taken, else the first; undefined where there is none. */
export function takenOr({ options, verdicts }: Pick<PassageData, "options" | "verdicts">): OptionData | undefined {
  const last = verdicts.findLast((v) => v.kind === "taken" || v.kind === "reopened" || v.kind === "undecided");
  return options.find(({ id }) => last?.kind === "taken" && id === last.fingeringId) ?? options[0];
}
