import { day } from "./days";
import { dayIn, startOf, zoneNamed } from "./zone";

describe("days in a zone", () => {
  it("begin and end where the player is", () => {
    const justBeforeMidnight = Date.parse("2026-03-01T23:30:00Z");
    expect(dayIn(zoneNamed("UTC")!, justBeforeMidnight)).toBe("2026-03-01");
    expect(dayIn(zoneNamed("Asia/Tokyo")!, justBeforeMidnight)).toBe("2026-03-02");
    expect(dayIn(zoneNamed("America/Los_Angeles")!, Date.parse("2026-03-01T03:00:00Z"))).toBe("2026-02-28");
  });

  it("begin at their first minute, whatever the clocks do that night", () => {
    for (const name of ["UTC", "Pacific/Kiritimati", "Pacific/Pago_Pago", "Asia/Kathmandu", "America/Sao_Paulo"])
      for (const on of ["2026-03-29", "2026-10-25", "2018-11-04", "2024-02-29"]) {
        const zone = zoneNamed(name)!;
        const start = startOf(day(on), zone).getTime();
        expect([dayIn(zone, start), dayIn(zone, start - 1) < on]).toEqual([on, true]);
      }
  });

  it("are those of zones that there are", () => {
    for (const name of ["", "Nowhere/Land", "constructor", "x".repeat(100)]) expect(zoneNamed(name)).toBeNull();
  });
});
