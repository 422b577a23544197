import { isLoopback, strangerIn } from "./origin";
import { passphrase } from "./passphrase";
import { isLetIn, SESSION_COOKIE } from "./session";

/** Why a request is stopped: with a sentence, or sent to the door to say the passphrase. */
export type Stopped =
  { readonly kind: "refused"; readonly message: string; readonly status: number } | { readonly kind: "to-the-door" };

/** What anybody may ask for who is not in yet. */
const AT_THE_DOOR = ["/door", "/door/knock", "/health"];

const LOCAL_ONLY = "Velvet Thumb answers on this machine alone, for no passphrase is set (VELVET_PASSPHRASE).";

/** Whether a request may come in: null where it may. Asked of every request, by the proxy or by the route itself. */
export async function stoppedAt({
  method,
  url,
  headers,
}: Pick<Request, "method" | "url" | "headers">): Promise<Stopped | null> {
  const stranger = strangerIn(method, headers);
  if (stranger) return { kind: "refused", message: stranger, status: 403 };
  if (passphrase() === null) {
    // A page elsewhere may name this machine as its own: it is spoken to only by its own names.
    if (isLoopback(headers.get("host") ?? "")) return null;
    return { kind: "refused", message: LOCAL_ONLY, status: 403 };
  }
  if (AT_THE_DOOR.includes(new URL(url).pathname) || (await isLetIn(cookieIn(headers)))) return null;
  if (method === "GET") return { kind: "to-the-door" };
  return { kind: "refused", message: "The door is closed: say the passphrase first.", status: 401 };
}

function cookieIn(headers: Headers): string | undefined {
  for (const pair of (headers.get("cookie") ?? "").split(";")) {
    const [name, value] = pair.trim().split("=");
    if (name === SESSION_COOKIE) return value;
  }
  return undefined;
}
