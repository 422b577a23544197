import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { OptionData } from "@/server/types";

const newTyped = jest.fn();
jest.mock("@/server/actions", () => ({ newTyped: (asked: unknown) => newTyped(asked) as unknown }));
const toast = Object.assign(jest.fn(), { error: jest.fn() });
jest.mock("sonner", () => ({
  get toast() {
    return toast;
  },
}));

import { AddFingering } from "./add-fingering";

const options = [{ name: "A" }, { name: "B" }] as unknown as OptionData[];

async function opened() {
  const onAdded = jest.fn();
  render(<AddFingering passageId="p" names={["A"]} onAdded={onAdded} />);
  await userEvent.click(screen.getByRole("button", { name: /Another fingering/ }));
  return onAdded;
}

describe("another fingering", () => {
  it("is typed, with the name of whose it is", async () => {
    newTyped.mockResolvedValue({ ok: true, value: options });
    const onAdded = await opened();
    await userEvent.type(screen.getByLabelText("Whose it is"), "the teacher");
    await userEvent.click(screen.getByRole("button", { name: /Type its digits/ }));
    await waitFor(() => expect(onAdded).toHaveBeenCalledWith(options, "B"));
    expect(newTyped).toHaveBeenCalledWith({
      id: expect.any(String) as string,
      passageId: "p",
      author: "the teacher",
    });
  });

  it("comes from another file, or says why it cannot", async () => {
    const answers = [
      { message: "No digits there." },
      { options, taken: 7, missing: 2, differences: ["bar 3, beat 1: E 4 here, E flat 4 there"] },
    ];
    globalThis.fetch = jest.fn(() => {
      const answer = answers.shift()!;
      return Promise.resolve({ ok: !("message" in answer), json: () => Promise.resolve(answer) });
    }) as never;
    const onAdded = await opened();
    const file = new File(["<score/>"], "edition.musicxml");
    await userEvent.upload(screen.getByLabelText(/File with another fingering/), file);
    await waitFor(() => expect(toast.error).toHaveBeenCalledWith("No digits there."));
    await userEvent.upload(screen.getByLabelText(/File with another fingering/), file);
    await waitFor(() => expect(onAdded).toHaveBeenCalledWith(options, "B"));
    expect(toast).toHaveBeenCalledWith(
      expect.stringMatching(/^7 digits taken over. Not in that file: 2 notes/),
      expect.objectContaining({
        description: "The editions differ. Bar 3, beat 1: E 4 here, E flat 4 there.",
      }),
    );
  });
});
