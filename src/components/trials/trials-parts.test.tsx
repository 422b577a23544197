import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Felt } from "@/core/trials/felt";
import type { TakeData } from "@/server/types";
import { FeltForm } from "./felt-form";
import { HaltButton, HaltNotice } from "./halt";
import { TriedTable } from "./tried-table";

const nothing = { halt: null, stop: () => undefined, lift: () => undefined, keeping: "kept" as const };

describe("what was felt", () => {
  it("is said by where, how much, whether loose, and what next, which keeps it", async () => {
    const said: Felt[] = [];
    render(<FeltForm bars={{ from: "2", to: "3" }} onSay={(felt) => said.push(felt)} onSkip={() => undefined} />);
    await userEvent.click(screen.getByRole("button", { name: "wrist" }));
    await userEvent.click(screen.getByRole("radio", { name: "Left" }));
    await userEvent.click(screen.getByRole("button", { name: "forearm" }));
    await userEvent.click(screen.getByRole("button", { name: "neck" }));
    screen.getByRole("slider", { name: "How much" }).focus();
    await userEvent.keyboard("{ArrowRight}{ArrowRight}{ArrowRight}");
    await userEvent.click(screen.getAllByRole("radio", { name: "No" }).at(-1)!);
    await userEvent.click(screen.getByRole("button", { name: "slower" }));
    expect(said).toEqual([
      {
        places: [
          { place: "wrist", side: "right" },
          { place: "forearm", side: "left" },
          { place: "neck", side: null },
        ],
        amount: 3,
        bars: { from: "2", to: "3" },
        loose: false,
        easy: null,
        next: "slower",
      },
    ]);
  });

  it("is skipped by one key", async () => {
    let skipped = 0;
    render(<FeltForm bars={null} onSay={() => undefined} onSkip={() => skipped++} />);
    screen.getByRole("button", { name: "wrist" }).focus();
    await userEvent.keyboard("{Escape}");
    expect(skipped).toBe(1);
  });
});

describe("a sign of harm", () => {
  it("is one tap away, and only the player lifts it", async () => {
    const signs: string[] = [];
    render(<HaltButton halt={{ ...nothing, stop: (sign) => signs.push(sign) }} />);
    await userEvent.click(screen.getByRole("button", { name: "It hurts" }));
    await userEvent.click(screen.getByRole("button", { name: "Numbness" }));
    expect(signs).toEqual(["numbness"]);
  });

  it("is said once with the date, and the button is not there beside it", async () => {
    let lifted = 0;
    const halt = {
      ...nothing,
      halt: { sign: "pain", since: "2026-03-02T10:00:00.000Z" } as const,
      lift: () => void lifted++,
    };
    render(
      <>
        <HaltNotice halt={halt} />
        <HaltButton halt={halt} />
      </>,
    );
    expect(screen.getByRole("region", { name: "Stopped" })).toHaveTextContent(
      /2 March: pain\. Rest, and see a clinician/,
    );
    expect(screen.queryByRole("button", { name: "It hurts" })).toBeNull();
    await userEvent.click(screen.getByRole("button", { name: "I am playing again" }));
    expect(lifted).toBe(1);
  });
});

describe("what was tried", () => {
  const take = (i: number, more: Partial<TakeData>): TakeData => ({
    id: String(i),
    fingeringId: "a",
    version: 1,
    source: "midi piano",
    tempo: 90,
    tempoReached: 90,
    snip: null,
    late: {},
    clean: true,
    faults: 0,
    first: "Clean.",
    amounts: {},
    astray: {},
    felt: null,
    at: "2026-03-02T10:00:00.000Z",
    ...more,
  });

  it("counts clean of all by tempo, says where it breaks, and keeps the simulated piano apart", () => {
    const tempi = [60, 60, 70, 70, 110, 110, 120, 120];
    const takes = [
      ...tempi.map((tempo, i) => take(i, { tempo, tempoReached: tempo, clean: tempo < 100 })),
      take(99, { source: "simulated piano" }),
    ];
    render(<TriedTable takes={takes} parts={[]} options={[{ id: "a", name: "A" }]} />);
    const table = screen.getByRole("region", { name: "What was tried" });
    expect(table).toHaveTextContent("4 of 8");
    expect(table).toHaveTextContent("2 of 2 about 60; 2 of 2 about 70; 0 of 2 about 110; 0 of 2 about 120");
    expect(table).toHaveTextContent(/It breaks at ♩ = \d+ \(\d+ to \d+\)/);
    expect(table).toHaveTextContent("A by the simulated piano1 of 1");
    expect(table).toHaveTextContent("7 more takes tell at which tempo it breaks.");
  });
});
