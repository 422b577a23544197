import { readFileSync } from "node:fs";
import { join } from "node:path";

interface Reference {
  readonly exportedName: string;
}

/** Names that the build gives the server's actions, by what they are called in the code. */
function references(): ReadonlyMap<string, string> {
  const path = join(process.cwd(), ".next/server/server-reference-manifest.json");
  const { node } = JSON.parse(readFileSync(path, "utf8")) as { node: Record<string, Reference> };
  return new Map(Object.entries(node).map(([id, { exportedName }]) => [exportedName, id]));
}

/** What an action answered. */
export type Answered = { readonly ok: boolean; readonly message?: string; readonly value?: unknown };

/** Does what a page of the built application does, without a browser: reads pages, asks actions, sends files. */
export class Caller {
  private readonly names = references();

  /** @param player whose turn it is */
  constructor(
    private readonly address: () => string,
    private readonly player: string,
  ) {}

  /** Sends something to one of the servers, as from a page of its own. */
  private send(path: string, asked: RequestInit = {}): Promise<Response> {
    const origin = this.address();
    const headers = { cookie: `velvet-player=${this.player}`, origin, ...(asked.headers as Record<string, string>) };
    return fetch(`${origin}${path}`, { ...asked, headers });
  }

  /** Reads a page. @throws Error where it does not come */
  async read(path: string): Promise<string> {
    const answer = await this.send(path);
    if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
    return answer.text();
  }

  /** Asks an action. @throws Error where there is no answer that is one */
  async ask(action: string, given: unknown): Promise<Answered> {
    const id = this.names.get(action);
    if (!id) throw new Error(`There is no action ${action}.`);
    const answer = await this.send("/hands", {
      method: "POST",
      headers: { "next-action": id, "content-type": "text/plain;charset=UTF-8", accept: "text/x-component" },
      body: JSON.stringify([given]),
    });
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${action}: ${answer.status}`);
    // The answer stands in a row of its own, or in the row that the first one names.
    for (const row of text.split("\n")) {
      const found = /^[0-9a-f]+:(\{"ok":.*)$/.exec(row);
      if (found) return JSON.parse(found[1]!) as Answered;
    }
    throw new Error(`${action}: no answer in ${text.slice(0, 200)}`);
  }

  /** Sends a score. */
  async bringIn(name: string, text: string): Promise<{ readonly pieceId: string }> {
    const body = new FormData();
    body.append("file", new Blob([text]), name);
    const answer = await this.send(`/import?player=${this.player}`, { method: "POST", body });
    if (!answer.ok) throw new Error(`import: ${answer.status} ${await answer.text()}`);
    return (await answer.json()) as { pieceId: string };
  }
}
