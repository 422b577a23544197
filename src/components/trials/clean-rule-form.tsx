"use client";

import { useState } from "react";
import { USUAL_RULE, type CleanRule } from "@/core/trials/clean";
import { CLEAN_RANGES } from "@/core/physics";
import { Button } from "../ui/button";
import { NumberField } from "../ui/number-field";

interface Props {
  readonly rule: CleanRule;
  /** null for the usual rule. */
  readonly onRule: (rule: CleanRule | null) => void;
}

const FIELDS = [
  ["faults", "Keys astray, at most", 1],
  ["evenness", "Uneven within groups, ms at most", 1],
  ["latest", "Latest join, ms at most", 1],
  ["tempo", "Of the tempo meant, % at least", 100],
  ["runs", "Beginnings, at most", 1],
] as const satisfies readonly (readonly [keyof CleanRule, string, number])[];

/** What this player calls a clean take. */
export function CleanRuleForm({ rule, onRule }: Props) {
  const [given, give] = useState<Readonly<Record<keyof CleanRule, string>>>(() => written(rule));
  const errors = Object.fromEntries(FIELDS.map(([id, , times]) => [id, complaint(id, given[id], times)]));
  const isWrong = Object.values(errors).some((error) => error !== undefined);
  return (
    <details className="text-sm">
      <summary className="min-h-11 cursor-pointer py-2.5 underline">What is clean</summary>
      <form
        className="flex flex-col gap-2 pt-1"
        onSubmit={(event) => {
          event.preventDefault();
          if (!isWrong) onRule(ruleOf(given));
        }}
      >
        {FIELDS.map(([id, label]) => (
          <NumberField
            key={id}
            label={label}
            error={errors[id]}
            value={given[id]}
            onChange={({ target }) => give({ ...given, [id]: target.value })}
          />
        ))}
        <div className="flex gap-1">
          <Button type="submit" disabled={isWrong}>
            Count by this
          </Button>
          <Button
            type="button"
            look="quiet"
            onClick={() => {
              give(written(USUAL_RULE));
              onRule(null);
            }}
          >
            As usual
          </Button>
        </div>
        <p className="text-soft">All takes count by it, those that were played before too.</p>
      </form>
    </details>
  );
}

function written(rule: CleanRule): Readonly<Record<keyof CleanRule, string>> {
  return Object.fromEntries(FIELDS.map(([id, , times]) => [id, String(Math.round(rule[id] * times))])) as never;
}

function ruleOf(given: Readonly<Record<keyof CleanRule, string>>): CleanRule {
  return Object.fromEntries(FIELDS.map(([id, , times]) => [id, Number(given[id]) / times])) as unknown as CleanRule;
}

function complaint(id: keyof CleanRule, value: string, times: number): string | undefined {
  const [least, most] = CLEAN_RANGES[id].map((limit) => limit * times) as [number, number];
  const number = Number(value);
  const isWhole = Number.isInteger(number) || (id !== "faults" && id !== "runs");
  return value.trim() !== "" && number >= least && number <= most && isWhole
    ? undefined
    : `A number from ${least} to ${most}, please.`;
}
