import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";

const upload = jest.fn();
const refresh = jest.fn();
jest.mock("../keeping/upload", () => ({ upload: (...asked: unknown[]) => upload(...asked) as unknown }));
jest.mock("next/navigation", () => ({ useRouter: () => ({ refresh }) }));

import { ArchiveIn, cameSaid } from "./archive-in";

beforeEach(() => jest.resetAllMocks());

const bring = async (): Promise<void> => {
  render(<ArchiveIn />);
  const file = new File(["x"], "mine.zip", { type: "application/zip" });
  await userEvent.upload(screen.getByLabelText("Bring in an archive"), file);
};

describe("an archive that is brought in", () => {
  it("says what came of it, and the page is new", async () => {
    upload.mockResolvedValue({ ok: true, value: { player: "Iris Vane", added: 12, there: 3, leftOut: 0 } });
    await bring();
    expect(await screen.findByRole("status")).toHaveTextContent(
      "Iris Vane is here: 12 things came in, 3 were here already and stay as they are.",
    );
    const [address, form] = upload.mock.calls[0] as [string, FormData];
    expect(address).toBe("/players/archive");
    expect((form.get("file") as File).name).toBe("mine.zip");
    expect(refresh).toHaveBeenCalled();
  });

  it("says what is wrong where it is refused", async () => {
    upload.mockResolvedValue({ ok: false, message: "This archive cannot be read: it is no whole zip file." });
    await bring();
    expect(await screen.findByRole("alert")).toHaveTextContent("it is no whole zip file");
    expect(refresh).not.toHaveBeenCalled();
  });

  it("says so where there was nothing new, and where something found no room", () => {
    expect(cameSaid({ player: "Iris Vane", added: 0, there: 15, leftOut: 2 })).toBe(
      "Everything of Iris Vane was here already. 2 found no room beside what is here.",
    );
  });
});
