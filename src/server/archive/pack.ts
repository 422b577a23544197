import { createHash } from "node:crypto";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { z } from "zod";
import type { Row } from "./tables";

/** The format that is written. An archive of any earlier one is read as well; see docs/archive.md. */
const FORMAT = 2;

/** What an archive holds: rows by the names of their tables, and files by their places. */
export interface Archive {
  readonly player: string;
  readonly madeAt: string;
  readonly tables: Readonly<Record<string, readonly Row[]>>;
  readonly files: Readonly<Record<string, Uint8Array>>;
}

const KIND = "velvet-thumb archive";
const MANIFEST = "archive.json";

const Manifest = z.object({
  kind: z.literal(KIND),
  format: z.number().int().min(1),
  player: z.string(),
  madeAt: z.iso.datetime(),
  /** Rows of each table, in order. */
  tables: z.array(z.object({ name: z.string().regex(/^[a-z-]+$/), rows: z.number().int().min(0) })),
  /** SHA-256 of every other file of the archive, by its place. */
  sums: z.record(z.string(), z.string().regex(/^[0-9a-f]{64}$/)),
});

/** Bytes that an archive may unpack to: two gigabytes, for films. */
const LARGEST = 2 * 1024 ** 3;

/** An archive as one zip: `archive.json` says what there is, `tables/NAME.json` has the rows, and the scores lie as they came. */
export function packed({ player, madeAt, tables, files }: Archive): Uint8Array {
  const inside: Record<string, Uint8Array> = { ...files };
  for (const [name, rows] of Object.entries(tables))
    inside[placeOf(name)] = strToU8(`${JSON.stringify(rows, null, 1)}\n`);
  const manifest: z.infer<typeof Manifest> = {
    kind: KIND,
    format: FORMAT,
    player,
    madeAt,
    tables: Object.entries(tables).map(([name, rows]) => ({ name, rows: rows.length })),
    sums: Object.fromEntries(Object.entries(inside).map(([place, bytes]) => [place, sumOf(bytes)])),
  };
  return zipSync({ [MANIFEST]: strToU8(`${JSON.stringify(manifest, null, 1)}\n`), ...inside }, { level: 6 });
}

export type Unpacked =
  | { readonly ok: true; readonly value: Archive }
  /** What is wrong with it, in a sentence. */
  | { readonly ok: false; readonly message: string };

/** Reads an archive, and refuses one in which a byte is not as it was written. */
export function unpacked(bytes: Uint8Array): Unpacked {
  let size = 0;
  let inside: Record<string, Uint8Array>;
  try {
    inside = unzipSync(bytes, {
      filter: ({ originalSize }) => {
        size += originalSize;
        if (size > LARGEST) throw new RangeError("large");
        return true;
      },
    });
  } catch (error) {
    if (error instanceof RangeError && error.message === "large")
      return refused("it unpacks to more than two gigabytes");
    return refused("it is no whole zip file");
  }
  const manifest = Manifest.safeParse(jsonIn(inside[MANIFEST]));
  if (!manifest.success) return refused(`it has no ${MANIFEST} that says what it holds`);
  const { format, player, madeAt, tables, sums } = manifest.data;
  if (format > FORMAT)
    return refused(`it was written by a newer Velvet Thumb (format ${format}; this one reads up to ${FORMAT})`);
  for (const [place, sum] of Object.entries(sums)) {
    const found = inside[place];
    if (!found) return refused(`${place} is missing`);
    if (sumOf(found) !== sum) return refused(`${place} is not as it was written`);
  }
  const read: Record<string, readonly Row[]> = {};
  for (const { name, rows } of tables) {
    const place = placeOf(name);
    const found = z
      .array(z.record(z.string(), z.unknown()))
      .safeParse(place in sums ? jsonIn(inside[place]) : undefined);
    if (!found.success || found.data.length !== rows)
      return refused(`${place} does not hold the ${rows} rows it should`);
    read[name] = found.data;
  }
  const files = Object.fromEntries(
    Object.keys(sums)
      .filter(isFile)
      .map((place) => [place, inside[place]!]),
  );
  return { ok: true, value: upgraded(format, { player, madeAt, tables: read, files }) };
}

/** What each earlier format is turned into: the next one. The second has a table more, and nothing else. */
const UPGRADES: readonly ((archive: Archive) => Archive)[] = [(first) => first];

function upgraded(format: number, archive: Archive): Archive {
  return UPGRADES.slice(format - 1).reduce((now, upgrade) => upgrade(now), archive);
}

function placeOf(table: string): string {
  return `tables/${table}.json`;
}

function isFile(place: string): boolean {
  return !place.startsWith("tables/");
}

function sumOf(bytes: Uint8Array): string {
  return createHash("sha256").update(bytes).digest("hex");
}

function jsonIn(bytes: Uint8Array | undefined): unknown {
  try {
    return bytes && JSON.parse(strFromU8(bytes));
  } catch {
    return undefined;
  }
}

function refused(why: string): { readonly ok: false; readonly message: string } {
  return { ok: false, message: `This archive cannot be read: ${why}. Nothing was changed.` };
}
