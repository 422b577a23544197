import { spawn, spawnSync, type ChildProcess } from "node:child_process";
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import postgres from "postgres";

const FOLDER = join(process.cwd(), ".test-data", `starts-${process.pid}`);

/** Runs lines of the start's own parts. */
function bash(script: string, env: Record<string, string> = {}) {
  const { status, stdout, stderr } = spawnSync("bash", ["-c", `set -e; source scripts/lib/all.sh; ${script}`], {
    encoding: "utf8",
    stdio: ["ignore", "pipe", "pipe"],
    timeout: 60_000,
    env: { ...process.env, ...env },
  });
  return { status, said: stderr.trim(), printed: stdout.trim() };
}

/** Starts a cluster in a folder of this test's own and gives back its address. */
const start = (name: string) => bash(`cluster_start "${join(FOLDER, name)}"; printf %s "$DATABASE_URL"`);
const stop = (name: string) => bash(`cluster_stop "${join(FOLDER, name)}"`);
const home = (name: string) => bash(`cluster_home "${join(FOLDER, name)}"`).printed;

async function answers(address: string, query = "select 1 as one"): Promise<unknown> {
  const sql = postgres(address, { max: 1, onnotice: () => undefined });
  try {
    return await sql.unsafe(query).then((rows) => [...rows]);
  } finally {
    await sql.end();
  }
}

beforeAll(() => mkdirSync(FOLDER, { recursive: true }));
afterAll(() => {
  for (const name of ["kept", "broken"]) stop(name);
  rmSync(FOLDER, { recursive: true, force: true });
});

describe("what is said of an address before anything is begun", () => {
  // In a process of its own: this one waits while a start looks.
  const script = `require("http").createServer((_, r) => r.end("ready")).listen(0, "127.0.0.1", function () { console.log(this.address().port) })`;
  let taken: ChildProcess;
  let port: string;
  beforeAll(async () => {
    taken = spawn(process.execPath, ["-e", script], { stdio: ["ignore", "pipe", "ignore"] });
    port = await new Promise((resolve) =>
      taken.stdout!.once("data", (said: Buffer) => resolve(said.toString().trim())),
    );
  });
  afterAll(() => taken.kill());

  it.each([
    ["no port", "127.0.0.1", "eighty", /PORT is "eighty", which is no port/],
    ["a port that there is not", "127.0.0.1", "70000", /PORT is 70000, which is no port/],
    ["a host that is none", "nowhere.invalid", "0", /PORT is 0, which is no port/],
    [
      "an address of another machine",
      "203.0.113.7",
      "3999",
      /HOST is "203\.0\.113\.7", which is no address of this machine/,
    ],
  ])("%s", (_what, host, at, words) => {
    const { status, said } = bash(`check_address "${host}" "${at}"`);
    expect(status).toBe(1);
    expect(said).toMatch(words);
  });

  it("a port that another program has, and that program's answer is not taken for ours", () => {
    expect(bash(`check_address 127.0.0.1 ${port}`).said).toMatch(/is taken by another program/);
    expect(bash(`is_ours "http://127.0.0.1:${port}/health" && echo ours || echo another`).printed).toBe("another");
  });

  it("another host without a passphrase", () => {
    const { status, said } = bash("check_door 0.0.0.0");
    expect([status, said]).toEqual([1, expect.stringMatching(/set VELVET_PASSPHRASE/)]);
    expect(bash("check_door 0.0.0.0", { VELVET_PASSPHRASE: "soft felt" }).status).toBe(0);
    expect(bash("check_door 127.0.0.1").status).toBe(0);
  });
});

describe("a cluster", () => {
  it("is kept over a lost password, and over a number left behind that belongs to another program", async () => {
    const first = start("kept");
    expect(first.status).toBe(0);
    await answers(first.printed, "create table mark (n int); insert into mark values (7)");
    stop("kept");
    const folder = home("kept");
    rmSync(`${folder}.secret`);
    // This test's own number: alive, and no database.
    writeFileSync(join(folder, "postmaster.pid"), `${process.pid}\n${folder}\n1\n5432\n/tmp\n127.0.0.1\n\nready\n`);
    const again = start("kept");
    expect(again.said).toMatch(/password was gone; it gets a new one/);
    expect(await answers(again.printed, "select n from mark")).toEqual([{ n: 7 }]);
    stop("kept");
    writeFileSync(`${folder}.secret`, "");
    const third = start("kept");
    expect(await answers(third.printed, "select n from mark")).toEqual([{ n: 7 }]);
    expect(readFileSync(`${folder}.secret`, "utf8").length).toBeGreaterThan(20);
  });

  it("is made anew where its making was broken off", async () => {
    const folder = home("broken");
    mkdirSync(join(`${folder}.making`, "global"), { recursive: true });
    writeFileSync(join(`${folder}.making`, "PG_VERSION"), "15\n");
    // As an older start left it: begun in its own place.
    mkdirSync(join(folder, "global"), { recursive: true });
    writeFileSync(join(folder, "PG_VERSION"), "15\n");
    const made = start("broken");
    expect(made.status).toBe(0);
    expect(await answers(made.printed)).toEqual([{ one: 1 }]);
    expect(existsSync(`${folder}.making`)).toBe(false);
    expect(
      JSON.stringify(
        await answers(made.printed, "select rolpassword is not null as has from pg_authid where rolname = 'velvet'"),
      ),
    ).toContain("true");
  });

  it("says what is wrong with a folder that cannot be written", () => {
    const { status, said } = bash(`cluster_start /proc/velvet/cluster`);
    expect(status).toBe(1);
    expect(said).toMatch(/cannot be written/);
  });
});
