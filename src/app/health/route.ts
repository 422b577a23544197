export const dynamic = "force-dynamic";

/** Answers when the server is up. */
export function GET(): Response {
  return new Response("ready");
}
