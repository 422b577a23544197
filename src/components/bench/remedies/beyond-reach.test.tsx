import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { Study } from "@/core/fingering/study/study";
import type { NoteId } from "@/core/passage/note";
import { USUAL_ALLOWANCES } from "@/core/reach/allowances";
import { remediesFor, withRemedies } from "@/core/reach/remedies-for";
import { studyOfKeys } from "../../../../tests/support/studies";

const remedy = jest.fn();
let study: Study;
jest.mock("@/server/actions", () => ({ remedy: (asked: unknown) => remedy(asked) as unknown }));
jest.mock("@/worker/clients", () => ({
  fingeringWorker: () => ({
    remedies: (note: NoteId, allows: never) => Promise.resolve(remediesFor(study, note, allows)),
  }),
}));

import { BeyondReach } from "./beyond-reach";

const onOptions = jest.fn();
const show = (of: Study, at = 0) => {
  study = of;
  const note = of.passage.notes[at]!.id;
  return render(<BeyondReach passageId="p" study={of} note={note} allows={USUAL_ALLOWANCES} onOptions={onOptions} />);
};
const GATE = () => studyOfKeys([[57, 64, 69, 76], 72], "right", { tempo: 60 }, 191);

beforeEach(() => jest.resetAllMocks());

describe("remedies", () => {
  it("are not spoken of where the hand holds what is written", () => {
    show(studyOfKeys([[60, 64, 67]]));
    expect(screen.queryByRole("region", { name: "Remedies" })).toBeNull();
  });

  it("are listed where it does not, each with what it loses", async () => {
    show(GATE());
    expect(screen.getByRole("heading", { level: 2 })).toHaveTextContent(/Out of reach: 1 and 5 are \d+ mm short/);
    expect(await screen.findAllByRole("button", { name: /^Choose: Roll it upward/ })).toHaveLength(2);
    expect(screen.getAllByText(/loses \d+ of 100; strain here \d+/).length).toBeGreaterThan(1);
  });

  it("once chosen are sent, and the options come back worked out anew", async () => {
    remedy.mockResolvedValue({ ok: true, value: { remedies: {}, options: ["new"] } });
    show(GATE());
    await userEvent.click(await screen.findByRole("button", { name: /^Choose: Take A 3 with the left hand/ }));
    await waitFor(() => expect(onOptions).toHaveBeenCalledWith(["new"]));
    const lowest = study.passage.notes[0]!.id;
    expect(remedy).toHaveBeenCalledWith({
      id: expect.any(String) as string,
      passageId: "p",
      notes: { [lowest]: { kind: "other-hand", hand: "left" } },
    });
  });

  it("chosen can be lifted again, or changed for another in one step", async () => {
    remedy.mockResolvedValue({ ok: true, value: { remedies: {}, options: [] } });
    const lowest = GATE().passage.notes[0]!.id;
    show(withRemedies(GATE(), { [lowest]: { kind: "other-hand", hand: "left" } }));
    expect(screen.getByText(/Chosen here: other hand/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: "As written" }));
    expect(remedy).toHaveBeenLastCalledWith({
      id: expect.any(String) as string,
      passageId: "p",
      notes: { [lowest]: null },
    });
    await userEvent.click(await screen.findByRole("button", { name: /^Choose: Roll it downward/ }));
    const [sent] = remedy.mock.lastCall as [{ notes: Record<string, { kind: string }> }];
    expect(Object.values(sent.notes).map((r) => r.kind)).toEqual(["roll", "roll", "roll", "roll"]);
  });
});
