import { dayIn, zoneNamed } from "./zone";

describe("days in a zone", () => {
  it("begin and end where the player is", () => {
    const justBeforeMidnight = Date.parse("2026-03-01T23:30:00Z");
    expect(dayIn(zoneNamed("UTC")!, justBeforeMidnight)).toBe("2026-03-01");
    expect(dayIn(zoneNamed("Asia/Tokyo")!, justBeforeMidnight)).toBe("2026-03-02");
    expect(dayIn(zoneNamed("America/Los_Angeles")!, Date.parse("2026-03-01T03:00:00Z"))).toBe("2026-02-28");
  });

  it("are those of zones that there are", () => {
    for (const name of ["", "Nowhere/Land", "constructor", "x".repeat(100)]) expect(zoneNamed(name)).toBeNull();
  });
});
