import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { Side } from "@/core/hand/finger";
import type { Manner } from "@/core/passage/passage";
import { RULES, type Rule } from "./rules";

/** A piece of invented music and how a pianist would finger it. */
export interface KindCase {
  readonly kind: string;
  readonly name: string;
  readonly side: Side;
  /** In the words of quality/notation. */
  readonly music: string;
  /**
   * Accepted fingerings, each a word an onset: fingers lowest key first, "12|13" where either will do, "*" where any will.
   * Or a rule that tells of onsets whether they are fingered well.
   */
  readonly accepted: readonly string[] | Rule;
  readonly why: string;
  readonly manner: Partial<Manner>;
  /** mm on a ruler; QUALITY_RULER_SPAN where not said. */
  readonly span?: number;
  /** Whether the first voice is the tune. */
  readonly tune: boolean;
}

/**
 * Invented cases, one file a kind of figure. "kinds" are looked at while weights are sought; "held-back" are of the
 * same kinds and run for a report alone.
 */
export function casesOf(folder: "kinds" | "held-back"): readonly KindCase[] {
  const path = join(process.cwd(), "quality", folder);
  return readdirSync(path)
    .sort()
    .flatMap((file) =>
      readFileSync(join(path, file), "utf8")
        .split("\n")
        .filter((line) => line !== "" && !line.startsWith("#"))
        .map((line) => caseOf(file.replace(".txt", "").replaceAll("-", " "), line)),
    );
}

/** @throws RangeError for a rule that there is not. */
function caseOf(kind: string, line: string): KindCase {
  const [name, side, music, accepted, why, how = ""] = line.split(" | ") as [
    string,
    Side,
    string,
    string,
    string,
    string?,
  ];
  const words = how.split(" ");
  const valueOf = (word: string): number | undefined => {
    const found = words.find((w) => w.startsWith(`${word}=`));
    return found === undefined ? undefined : Number(found.split("=")[1]);
  };
  const tempo = valueOf("tempo");
  const span = valueOf("span");
  return {
    kind,
    name: `${name}, ${side}`,
    side,
    music,
    accepted: accepted.startsWith("rule ") ? ruleOf(accepted.slice(5)) : accepted.split("; "),
    why,
    manner: {
      ...(tempo === undefined ? {} : { tempo }),
      ...(words.includes("detached") ? { touch: "detached" as const } : {}),
      ...(words.includes("pedal") ? { pedal: true } : {}),
    },
    ...(span === undefined ? {} : { span }),
    tune: words.includes("tune"),
  };
}

function ruleOf(name: string): Rule {
  const rule = RULES[name];
  if (!rule) throw new RangeError(`There is no rule "${name}".`);
  return rule;
}
