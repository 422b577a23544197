import { casesOf } from "./kind";
import { answered } from "./grade";
for (const c of casesOf("kinds").filter((c) => c.music.split(" ").length <= 16 && !c.music.includes("/"))) {
  const at = (tempo: number) =>
    answered({ ...c, manner: { ...c.manner, tempo } }, true)
      .map((f) => f.fingers.join(""))
      .join(" ");
  const [s, m, f] = [at(50), at(120), at(220)];
  if (s !== f && (m === s || m === f)) console.log(c.name, "|", c.music, "|", s, "|", f);
}
