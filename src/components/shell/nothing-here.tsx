import Link from "next/link";

/** What a page shows where its address names nothing. */
export function NothingHere({ title, words }: { readonly title: string; readonly words: string }) {
  return (
    <div className="py-16">
      <h1 className="font-serif text-3xl">{title}</h1>
      <p className="mt-2">
        {words}{" "}
        <Link href="/" className="text-velvet underline">
          Go to the repertoire
        </Link>
      </p>
    </div>
  );
}
