import type { Cause } from "../cause";

/** A held key given silently to another finger, so that the first can go on. */
export const changeOnKey: Cause = {
  id: "change-on-key",
  label: "finger changed on a held key",
  unit: "notes",
  frames: 2,
  source: "A choice: less than losing the note, more than a weak finger.",
  find({ now, before, weights }, tell) {
    for (const { press, from } of now.changed) {
      const first =
        before!.struck.find((p) => p.finger === from) ?? before!.held.find((p) => p.finger === from) ?? null;
      tell(press.stroke, 1, weights.changeOnKey, press, first);
    }
  },
  spared: () => "no finger changes on the held key",
  say: ({ finger, other }) => `from ${other?.finger} to ${finger!.finger} on the held ${finger!.stroke.spelled}`,
};
