import { studyOfCase } from "./grade";
import { figuresOf } from "@/core/figures/find";
import { memoriesOf } from "@/core/figures/ties";
import { casesOf } from "./kind";
for (const c of casesOf("kinds").filter((c) => /broken triads|four down in G|three and back/.test(c.name))) {
  const s = studyOfCase(c);
  const f = figuresOf(s);
  console.log(c.name, c.music.slice(0, 50));
  for (const x of f)
    console.log(
      "  fig",
      x.notes.length,
      x.returns.map((r) => [r.relation, r.notes?.length, r.alike, r.inSequence, r.changed?.length].join(":")).join(" "),
    );
  console.log("  memories", memoriesOf(s, f, "alike").length);
}
