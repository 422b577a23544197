import Link from "next/link";

export default function NotFound() {
  return (
    <div className="py-16">
      <h1 className="font-serif text-3xl">Nothing lies here</h1>
      <p className="mt-2">
        This piece or passage is not in the repertoire.{" "}
        <Link href="/" className="text-velvet underline">
          Go to the repertoire
        </Link>
      </p>
    </div>
  );
}
