import { readFileSync, writeFileSync } from "node:fs";
import { connect } from "@/db/client";
import { pianistsHere } from "@/db/queries/pianists";
import { migrateToNewest } from "@/db/migrate";
import { takeIn } from "@/server/archive/take-in";
import { archiveOf } from "@/server/archive/take-out";

const USAGE = `velvet archive out FILE [--player NAME]   everything of a player into one file
velvet archive in FILE                    the same in again: what is there already stays as it is

The database is the one that npm run demo keeps, or the one that DATABASE_URL names. With --json one line of JSON.`;

interface Said {
  readonly code: number;
  readonly said: object;
  readonly words: string;
}

/** The archive on the command line. @returns 0 when it is done, 1 when it could not be, 2 when the words make no sense */
export async function archive(args: readonly string[], print: (line: string) => void): Promise<number> {
  const asJson = args.includes("--json");
  const named = args.includes("--player") ? args[args.indexOf("--player") + 1] : undefined;
  const [way, file] = args.filter((one, i) => !one.startsWith("--") && args[i - 1] !== "--player");
  if ((way !== "out" && way !== "in") || file === undefined) {
    print(asJson ? JSON.stringify({ error: "Say out or in, and a file." }) : USAGE);
    return args.includes("--help") ? 0 : 2;
  }
  const { code, said, words } = await done(way, file, named).catch((error: Error) => failed(error.message));
  print(asJson ? JSON.stringify(said) : words);
  return code;
}

async function done(way: "out" | "in", file: string, named: string | undefined): Promise<Said> {
  const address = process.env["DATABASE_URL"];
  if (!address) return failed("DATABASE_URL does not say where the database is.");
  const { db, close } = connect(address);
  try {
    await migrateToNewest(db);
    if (way === "in") {
      const answer = await takeIn(db, readFileSync(file));
      if (!answer.ok) return failed(answer.message);
      const { player, added, there, leftOut } = answer.value;
      const left = leftOut > 0 ? `; ${leftOut} found no room beside what is there` : "";
      return { code: 0, said: answer.value, words: `${player}: ${added} rows came in, ${there} were there${left}.` };
    }
    const here = await pianistsHere(db);
    const player = named === undefined ? here[0] : here.find(({ name }) => name === named);
    if (!player) return failed(named === undefined ? "Nobody plays here." : `Nobody called ${named} plays here.`);
    if (named === undefined && here.length > 1)
      return failed(`Say which player: ${here.map(({ name }) => `--player "${name}"`).join(", ")}.`);
    const bytes = (await archiveOf(db, player.id, new Date()))!;
    writeFileSync(file, bytes);
    const said = { player: player.name, file, bytes: bytes.length };
    return { code: 0, said, words: `${player.name} in ${file}, ${Math.ceil(bytes.length / 1024)} kB.` };
  } finally {
    await close();
  }
}

function failed(message: string): Said {
  return { code: 1, said: { error: message }, words: message };
}
