import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { finger } from "@/cli/finger";
import { file, folder, run, scale } from "./support/command-line";
import { noteXml, partsXml, scoreXml } from "./support/musicxml";

describe("velvet -- finger", () => {
  it("prints a JSON line a file, notes in order and one entry of the fingering for each", () => {
    const { code, lines } = run(scale, "--hand", "right", "--options", "3", "--json");
    expect(code).toBe(0);
    expect(lines).toHaveLength(1);
    const { notes, options } = lines[0]!;
    expect(notes[1]).toEqual({ id: "b1-s1-v1-n2", bar: 1, onset: "1/3", length: "1/3", grace: 0, midi: 62, staff: 1 });
    expect(options.map((o) => o.name)).toEqual(["A", "B", "C"]);
    for (const { fingering } of options) expect(fingering.map((f) => f.note)).toEqual(notes.map((n) => n.id));
    expect(options[0]!.strain).toBeLessThanOrEqual(options[1]!.strain);
    expect(new Set(options.map((o) => o.fingering.map((f) => f.finger).join())).size).toBe(3);
  });

  it("takes the hand as asked on one staff, and staff 1 as right on two", () => {
    expect(run(scale, "--hand", "left", "--json").lines[0]!.options[0]!.fingering[0]!.hand).toBe("left");
    const both = scoreXml(
      [
        noteXml("C5", { length: 48 }) +
          "<backup><duration>48</duration></backup>" +
          noteXml("C3", { length: 48, staff: 2, voice: 5 }),
      ],
      { staves: 2 },
    );
    const { lines } = run(file("both.xml", both), "--hand", "both", "--json");
    expect(lines[0]!.options[0]!.fingering.map((f) => f.hand)).toEqual(["left", "right"]);
    expect(run(file("both.xml", both), "--hand", "left", "--json").lines[0]!.notes.map((n) => n.midi)).toEqual([48]);
  });

  it("does not list tied continuations again, and gives null with a reason where no finger can play", () => {
    const text = scoreXml([
      noteXml("C3", { length: 48, tie: ["start"] }) +
        ["G3", "E4", "C5"].map((p) => noteXml(p, { length: 48, chord: true })).join(""),
      noteXml("C3", { length: 48, tie: ["stop"] }),
    ]);
    const { fingering } = run(file("wide.xml", text), "--hand", "right", "--span-right", "185").lines[0]!.options[0]!;
    expect(fingering).toHaveLength(4);
    const none = fingering.filter((f) => f.finger === null);
    expect(none.length).toBeGreaterThan(0);
    for (const { reason, remedies } of none) {
      expect(reason).toMatch(/\.$/);
      expect(remedies!.map((r) => r.kind)).toContain("roll");
    }
  });

  it("keeps to pins", () => {
    const pinned = run(scale, "--hand", "right", "--pin", "b1-s1-v1-n1=2", "--pin", "b1-s1-v1-n4=5");
    const fingers = pinned.lines[0]!.options[0]!.fingering.map((f) => f.finger);
    expect([fingers[0], fingers[3]]).toEqual([2, 5]);
  });

  it("rules fingers out, ties figures, leans and offers what is worth showing", () => {
    const fingers = (...args: string[]) =>
      run(scale, "--hand", "right", ...args).lines[0]!.options[0]!.fingering.map((f) => f.finger);
    const first = fingers()[0]!;
    expect(fingers("--rule-out", `b1-s1-v1-n1=${first}`)[0]).not.toBe(first);
    const blacks = scoreXml([["C#4", "D#4", "F#4", "G#4"].map((p) => noteXml(p, { length: 4 })).join("")]);
    const off = run(file("blacks.xml", blacks), "--hand", "left", "--rule-out", "thumb-on-black").lines[0]!;
    expect(off.options[0]!.fingering.map((f) => f.finger)).not.toContain(1);
    const [offered] = run(scale, "--hand", "right", "--offers", "4").lines as unknown as {
      options: { leaning: string; sentence: string }[];
    }[];
    expect(offered!.options[0]).toMatchObject({ leaning: "balanced" });
    expect(offered!.options[0]!.sentence).toMatch(/^(The least strain in all|Little strain)/);
    const figure = ["C5", "E5", "D5", "G5", "F5", "A5", "G5", "E5"];
    const up = ["C#5", "F5", "D#5", "G#5", "F#5", "A#5", "G#5", "F5"];
    const twice = file(
      "twice.xml",
      scoreXml([figure, up].map((bar) => bar.map((p) => noteXml(p, { length: 6 })).join(""))),
    );
    const [tied] = run(twice, "--hand", "right", "--tie", "all").lines as unknown as {
      figures: { returns: { relation: string }[] }[];
      tying: { bonds: number; by: number; exact: boolean };
    }[];
    expect(tied!.figures[0]!.returns[0]!.relation).toBe("chromatic");
    expect(tied!.tying).toMatchObject({ exact: true });
    expect(tied!.tying.bonds).toBeGreaterThanOrEqual(5);
    expect(tied!.tying.by).toBeGreaterThanOrEqual(0);
  });

  it("shares the hands out anew and shows the brackets", () => {
    const turns = ["C3", "E3", "G3", "C4", "E4", "G4", "C5", "E5"].map((p, i) =>
      noteXml(p, { length: 3, staff: 1 + (i % 2), voice: i % 2 ? 5 : 1 }),
    );
    const [line] = run(
      file("turns.xml", scoreXml([turns.join("")], { staves: 2 })),
      "--hand",
      "both",
      "--redistribute",
      "all",
    ).lines as unknown as { redistribution: { taken: Record<string, string>; brackets: { notes: string[] }[] } }[];
    const { taken, brackets } = line!.redistribution;
    expect(Object.keys(taken).length).toBeGreaterThan(0);
    expect(brackets.flatMap((b) => b.notes).sort()).toEqual(Object.keys(taken).sort());
  });

  it("gives notes to a hand", () => {
    const { fingering } = run(scale, "--hand", "right", "--give", "b1-s1-v1-n2=left").lines[0]!.options[0]!;
    expect(fingering.map((f) => f.hand)).toEqual(["right", "left", "right", "right"]);
    expect(run(scale, "--hand", "right", "--give", "b7-s1-v1-n2=left").lines[0]!.error).toMatch(/--give/);
  });

  it("answers where all fingers rest, nothing sounds long enough, or pins conflict", () => {
    const rest = ["1", "2", "3", "4", "5"].flatMap((f) => ["--rest", `right:${f}`]);
    expect(run(scale, "--hand", "right", ...rest).lines[0]!.notes).toEqual([]);
    const chord = scoreXml([noteXml("C4", { length: 48 }) + noteXml("E4", { length: 48, chord: true })]);
    const [both] = run(file("two.xml", chord), "--hand", "right", "--pin", "b1-s1-v1-n1=3", "--pin", "b1-s1-v1-n2=3")
      .lines as unknown as { conflicts: { notes: string[]; words: string }[] }[];
    expect(both!.conflicts).toEqual([
      {
        notes: ["b1-s1-v1-n1", "b1-s1-v1-n2"],
        words: "At bar 1, beat 1, finger 3 is pinned to more than one key. It is kept as pinned.",
      },
    ]);
    const ten = scoreXml([
      ["C3", "D3", "F3", "A3", "C4", "D4", "F4", "A4", "C5", "D5"]
        .map((p, i) => noteXml(p, { length: 48, chord: i > 0 }))
        .join(""),
    ]);
    const { fingering } = run(file("ten.xml", ten), "--hand", "right").lines[0]!.options[0]!;
    expect(fingering.filter((f) => f.finger !== null).length).toBeGreaterThanOrEqual(4);
    expect(fingering.filter((f) => f.finger === null).every((f) => f.reason)).toBe(true);
  });

  it("sweeps the tempo and says where the order of the options changes", () => {
    const repeated = scoreXml([Array.from({ length: 8 }, () => noteXml("C4", { length: 3 })).join("")]);
    const [line] = run(file("same.xml", repeated), "--hand", "right", "--options", "4", "--sweep", "40:200").lines;
    const { sweep } = line as unknown as {
      sweep: { tempos: number[]; curves: { strain: number[] }[]; flips: { tempo: number }[] };
    };
    expect(sweep.tempos).toHaveLength(161);
    expect(sweep.curves.map((c) => c.strain.length)).toEqual([161, 161, 161, 161]);
    for (const { tempo } of sweep.flips) expect(tempo).toBeGreaterThan(40);
  });

  it("tells errors in the line of their file and does the others", () => {
    const { code, lines } = run(
      file("torn.xml", "<score-partwise>"),
      scale,
      join(folder, "missing.xml"),
      "--hand",
      "right",
      "--json",
    );
    expect(code).toBe(1);
    expect(lines.map((l) => l.error !== undefined)).toEqual([true, false, true]);
    expect(lines[0]!.error).toMatch(/not well-formed XML.*line 1/);
  });

  it.each([
    [["--hand", "third"]],
    [["--tempo", "0", "--hand", "left"]],
    [["--span-right", "20", "--hand", "left"]],
    [["--wide", "yes"]],
    [["--hand", "right", "--pin", "b1-s1-v1-n1=7"]],
    [["--hand", "right", "--pin", "b9-s1-v1-n1=2"]],
    [["--hand", "right", "--sweep", "160:60"]],
    [["--hand", "right", "--rule-out", "thumb"]],
    [["--hand", "right", "--leaning", "sideways"]],
    [["--hand", "both", "--redistribute", "some"]],
    [[]],
  ])("refuses a command that makes no sense: %p", (args) => {
    const { code, lines } = run(...(args.length > 0 ? [scale, ...args] : ["--hand", "left"]));
    expect(code).toBe(1);
    expect(lines[0]!.error!.length).toBeGreaterThan(10);
  });
});

describe("velvet, read by a person", () => {
  const read = (...args: string[]): { code: number; lines: string[]; told: string[] } => {
    const [lines, told]: [string[], string[]] = [[], []];
    const code = finger(
      args,
      (line) => lines.push(line),
      (line) => told.push(line),
    );
    return { code, lines, told };
  };

  it("gets help on the standard output, without an error", () => {
    const { code, lines, told } = read("--help");
    expect([code, told]).toEqual([0, []]);
    expect(lines.join("\n")).toMatch(/--bars FROM-TO/);
  });

  it("is offered the same choices wherever they are named, and each of them is taken", () => {
    const named = new Map<string, Set<string>>();
    for (const [, word, choices] of read("--help")
      .lines.join("\n")
      .matchAll(/--([a-z-]+) ([a-z]+(?:\|[a-z]+)+)(?![|A-Z])/g))
      named.set(word!, (named.get(word!) ?? new Set()).add(choices!));
    expect([...named.keys()]).toEqual(expect.arrayContaining(["hand", "touch", "arpeggios"]));
    for (const [, lists] of named) expect(lists.size).toBe(1);
    for (const word of ["touch", "arpeggios"])
      for (const choice of [...named.get(word)!][0]!.split("|"))
        expect(read(scale, "--hand", "right", `--${word}`, choice).code).toBe(0);
  });

  it("gets a table with what was taken of the file, and every note with its digit", () => {
    const { code, lines } = read(scale, "--hand", "right", "--options", "2");
    expect(code).toBe(0);
    expect(lines[1]).toBe("part P1 (Piano), 96 quarter notes a minute (assumed: the file states none)");
    expect(lines.find((line) => line.startsWith("! "))).toMatch(/one staff/);
    expect(lines.filter((line) => /^bar 1, beat .* (right|left) +[1-5] +[1-5]$/.test(line))).toHaveLength(4);
  });

  it.each([
    [["--hand", "third"], "--hand: Say whose digits: right, left or both."],
    [["--hand", "left", "--hand", "right"], "--hand is said twice."],
    [["--hand", "left", "--tempo", "fast"], "--tempo: Say a tempo in quarter notes a minute, from 10 to 480."],
    [["--hand", "left", "--wide", "yes"], "There is no word --wide."],
    [["--hand"], "--hand wants a value after it."],
  ])("is told plainly of %p", (words, sentence) => {
    const { code, lines, told } = read(scale, ...words);
    expect([code, lines]).toEqual([1, []]);
    expect(told[0]!.split("\n")[0]).toBe(sentence);
  });

  it.each([
    ["no-such-file.xml", "There is no such file."],
    [
      "/dev/null",
      "This is no file. A score that comes from another command is named - and read from the standard input.",
    ],
  ])("is told plainly why %s cannot be read", (name, sentence) => {
    expect(read(name, "--hand", "right")).toMatchObject({ code: 1, told: [`${name}: ${sentence}`] });
  });
});

describe("velvet and a part of a file", () => {
  const two = file(
    "two.musicxml",
    partsXml([
      { name: "Glass harp", bars: ["C5", "D5", "E5"].map((p) => noteXml(p, { length: 48 })) },
      { name: "Piano", bars: ["C4", "D4", "E4"].map((p) => noteXml(p, { length: 48 })) },
    ]),
  );
  const midi = (...args: string[]) => run(two, "--hand", "right", ...args).lines[0]!.notes.map((n) => n.midi);

  it("takes the part and the bars that are asked for, and says what there is otherwise", () => {
    expect(midi()).toEqual([60, 62, 64]);
    expect(midi("--part", "P1", "--bars", "2-3")).toEqual([74, 76]);
    expect(midi("--bars", "3")).toEqual([64]);
    const error = (...args: string[]) => run(two, "--hand", "right", ...args).lines[0]!.error;
    expect(error("--part", "P9")).toBe("--part P9: the file has no such part; it has P2, P1.");
    expect(error("--bars", "2-9")).toBe("--bars 2-9: the part has bars 1 to 3.");
    expect(error("--tune", "7")).toMatch(/^--tune 7: there is no such voice; there is 1/);
  });

  it("says in every line what it took: tempo, where from, part and remarks", () => {
    const marked = file(
      "marked.musicxml",
      scoreXml([`<sound tempo="72"/>${noteXml("C4")}${noteXml("C9")}${noteXml("C9")}`]),
    );
    const line = (...args: string[]) =>
      run(marked, "--hand", "right", ...args).lines[0] as unknown as Record<string, unknown>;
    expect(line()).toMatchObject({ tempo: 72, tempoFrom: "part P1, bar 1", part: "P1" });
    expect(line("--tempo", "100")).toMatchObject({ tempo: 100, tempoFrom: "as asked" });
    expect((line()["remarks"] as string[]).filter((words) => words.includes("not on the keyboard"))).toHaveLength(1);
  });

  it("does every score of a folder, and writes the digits of one", () => {
    const inside = mkdtempSync(join(folder, "folder-"));
    for (const name of ["b.musicxml", "a.musicxml", "notes.txt"])
      writeFileSync(join(inside, name), scoreXml([noteXml("C4")]));
    const { lines } = run(inside, "--hand", "right");
    expect(lines.map((l) => l.file)).toEqual([join(inside, "a.musicxml"), join(inside, "b.musicxml")]);
    const out = join(inside, "out.musicxml");
    expect(run(lines[0]!.file, "--hand", "right", "--out", out).code).toBe(0);
    expect(readFileSync(out, "utf8")).toMatch(/<fingering placement="above">[1-5]<\/fingering>/);
    expect(run(inside, "--hand", "right", "--out", out).lines[0]!.error).toMatch(
      /--out takes the fingering of one file/,
    );
  });
});
