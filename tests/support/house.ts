import { spawn, spawnSync, type ChildProcess } from "node:child_process";
import { existsSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { connect, type Db } from "@/db/client";
import { migrateToNewest } from "@/db/migrate";

/** Runs lines of the start's own parts. @throws Error with what was said where they fail */
function bash(script: string, env: Record<string, string> = {}): string {
  const { status, stdout, stderr } = spawnSync("bash", ["-c", `set -e; source scripts/lib/all.sh; ${script}`], {
    encoding: "utf8",
    stdio: ["ignore", "pipe", "pipe"],
    timeout: 90_000,
    env: { ...process.env, ...env },
  });
  if (status !== 0) throw new Error(stderr.trim());
  return stdout.trim();
}

/** A cluster and a server of a test's own, whose processes can be killed without a word. */
export class House {
  private readonly folder: string;
  private server: ChildProcess | null = null;
  private readonly port: string;
  database = "";

  constructor(name: string) {
    this.folder = join(process.cwd(), ".test-data", `house-${name}-${process.pid}`);
    this.port = bash("free_port");
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts the cluster on the port that it had before, where it had one. @param flags what else PostgreSQL is told */
  startDatabase(flags = "", before = ""): void {
    const found = bash(`${before} cluster_start "${this.folder}"; printf %s "$DATABASE_URL"`, {
      CLUSTER_FLAGS: `${this.database ? `-c port=${new URL(this.database).port}` : ""} ${flags}`,
    });
    // The port in the address is the one that was free; the one that was asked for holds.
    if (!this.database) this.database = found;
  }

  /** Everything of PostgreSQL at once, as when the power goes. */
  killDatabase(): void {
    const home = bash(`cluster_home "${this.folder}"`);
    const file = join(home, "postmaster.pid");
    const pid = existsSync(file) ? Number(readFileSync(file, "utf8").split("\n")[0]) : 0;
    if (pid === 0) return;
    // The first of them first: it would raise the others again. What it leaves in /tmp goes with the power.
    const port = new URL(this.database).port;
    bash(
      `children=$(pgrep -P ${pid} || true); kill -9 ${pid} $children 2> /dev/null || true; sleep 0.5; rm -f "${file}" /tmp/velvet-*/.s.PGSQL.${port}*`,
    );
  }

  stopDatabase(): void {
    bash(`cluster_stop "${this.folder}"`);
  }

  async migrated(): Promise<{ readonly db: Db; readonly close: () => Promise<void> }> {
    const connection = connect(this.database);
    await migrateToNewest(connection.db);
    return connection;
  }

  async startServer(): Promise<void> {
    this.server = spawn(
      process.execPath,
      ["node_modules/next/dist/bin/next", "start", "-H", "127.0.0.1", "-p", this.port],
      { stdio: "ignore", env: { ...process.env, DATABASE_URL: this.database, NODE_ENV: "production" } },
    );
    for (let i = 0; i < 120; i++) {
      if (await answers(`${this.address}/health`)) return;
      await new Promise((go) => setTimeout(go, 250));
    }
    throw new Error("The server does not answer.");
  }

  async killServer(): Promise<void> {
    const { server } = this;
    if (!server || server.exitCode !== null) return;
    const gone = new Promise((resolve) => server.once("exit", resolve));
    server.kill("SIGKILL");
    await gone;
  }

  async away(): Promise<void> {
    await this.killServer();
    this.stopDatabase();
    const home = bash(`cluster_home "${this.folder}"`);
    rmSync(home, { recursive: true, force: true });
    rmSync(`${home}.secret`, { force: true });
  }
}

async function answers(address: string): Promise<boolean> {
  try {
    return (await fetch(address)).ok;
  } catch {
    return false;
  }
}
