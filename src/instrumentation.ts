/** What a server begins with: its engraver is started, so that the first page finds it warm. */
export async function register(): Promise<void> {
  if (process.env["NEXT_RUNTIME"] !== "nodejs") return;
  const { warmEngraver } = await import("@/server/engraving/engraving");
  // A page is served meanwhile; what cannot be engraved here is engraved beside the page.
  void warmEngraver().catch((error: unknown) => console.error(error));
}
